// In the field: a phone that is paired, works without network, and loses nothing.
import { test as base, expect } from '@playwright/test';
import { readsWell } from './hand.mjs';
import { visit as test, reached } from './house.mjs';
import { helperBy, pair } from './people.mjs';

const phone = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };
// A picture of eight by six grey pixels, and a file that only says that it is one.
const grey = 'iVBORw0KGgoAAAANSUhEUgAAAAgAAAAGCAIAAABxZ0isAAAAEUlEQVR4nGOoyEvBihgGUgIAJgQ94UCwlUgAAAAASUVORK5CYII=';
const picture = { name: 'wall.png', mimeType: 'image/png', buffer: Buffer.from(grey, 'base64') };
const none = { name: 'wall.png', mimeType: 'image/png', buffer: Buffer.from('no picture') };

const kept = page => page.locator('[data-kept]');
const waiting = page => expect.poll(() => kept(page).getAttribute('data-waiting'));
const task = (page, key) => page.locator(`[data-task="${key}"]`);
const open = async (page, key) => {
  const item = task(page, key);
  if (!(await item.locator('> details').evaluate(d => d.open))) await item.locator('> details > summary').click();
  return item;
};
const press = async (page, key) => {
  const item = await open(page, key);
  await item.locator('[data-do]').click();
  await expect(item).toHaveClass(/done/);
};
const keysOf = page => page.locator('[data-tasks="Set"] [data-task]').evaluateAll(all => all.map(i => i.dataset.task));
const ready = page => expect(page.locator('html[data-ready]')).toBeAttached();

test.describe('on a phone', () => {
  test.use(phone);

  test('what is next is one press away, is ticked with a thumb, and shows on the tabs of the desk', async ({ page, house }) => {
    await page.goto(`${house.job}/field`);
    await ready(page);
    await readsWell(page, { alike: true });
    await page.locator('.next').click();
    await ready(page);
    const keys = await keysOf(page);
    const first = task(page, keys[0]);
    await expect(first.locator('> details')).toHaveAttribute('open', '');
    await expect(first.locator('figure svg')).toBeVisible();
    // Its box is told from the others of its wall.
    await expect(first.locator('.strip-box.here')).toHaveAttribute('data-on-strip', keys[0].slice(4));
    // The press is on the screen as it comes, and large enough for a glove.
    const box = await first.locator('[data-do]').boundingBox();
    expect(box.height).toBeGreaterThanOrEqual(48);
    expect(box.y + box.height).toBeLessThan(844);
    await press(page, keys[0]);
    await expect(task(page, keys[1]).locator('> details')).toHaveAttribute('open', '');
    await waiting(page).toBe('0');
    // What two presses at once say is two things; a remark stands beside the thing.
    const second = await open(page, keys[1]);
    await second.locator('.more summary').click();
    await second.locator('textarea').fill('The stud <b>is</b> split.');
    await second.getByRole('button', { name: 'Something is wrong' }).click();
    await expect(second).toHaveClass(/wrong/);
    await waiting(page).toBe('0');
    await page.reload();
    await ready(page);
    await expect(task(page, keys[0])).toHaveClass(/done/);
    await expect(task(page, keys[1])).toContainText('The stud <b>is</b> split.');
    await readsWell(page, { alike: true, drawings: false });
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await page.goto(`${house.job}/boxes`);
    await expect(page.locator('.stages')).toContainText(/1 of \d+ set/);
  });

  test('a pull takes its feet from the number pad; the plan learns them; a bad figure is told and nothing is lost', async ({
    page,
    house,
  }) => {
    await page.goto(`${house.job}/field/kitchen?work=Pull`);
    await ready(page);
    const keys = await page.locator('[data-tasks="Pull"] [data-task]').evaluateAll(all => all.map(i => i.dataset.task));
    const run = keys.find(k => /^pull\/\d+$/.test(k));
    const item = await open(page, run);
    const feet = item.locator('[name="value"]');
    expect(await feet.getAttribute('inputmode')).toBe('decimal');
    await feet.fill('abc');
    await item.locator('[data-do]').click();
    await expect(page.locator('[data-refused]')).toContainText("'abc' is no length");
    await page.getByRole('button', { name: 'Seen' }).click();
    await expect(page.locator('[data-refused]')).toBeHidden();
    await page.reload();
    await ready(page);
    await expect(task(page, run)).not.toHaveClass(/done/);
    const again = await open(page, run);
    await again.locator('[name="value"]').fill('57.5');
    await again.locator('[data-do]').click();
    await expect(again).toHaveClass(/done/);
    await waiting(page).toBe('0');
    await page.goto(`${house.job}/pull`);
    await expect(page.locator(`#run-${run.split('/')[1]}`)).toContainText('took 58 ft');
  });

  test('a box is ticked that was taken out at the desk meanwhile: told, and what was said stays until it is seen', async ({
    page,
    house,
  }) => {
    await page.goto(`${house.job}/field/kitchen?work=Set`);
    await ready(page);
    const keys = await keysOf(page);
    const desk = await page.context().newPage();
    await desk.goto(`${house.job}/boxes?pick=box:${keys[0].slice(4)}`);
    await expect(desk.locator('html[data-ready]')).toBeAttached();
    const gone = desk.waitForResponse(r => r.request().method() === 'POST');
    await desk.locator('button[data-do="remove-box"]').first().click();
    await gone;
    await press(page, keys[0]);
    await expect(page.locator('[data-refused]')).toContainText('is not in the plan any more');
    await page.reload();
    await ready(page);
    await expect(page.locator('[data-refused]')).toContainText('is not in the plan any more');
  });
});

// A browser that keeps what a browser keeps, closed and opened again.
base.describe('without network', () => {
  base('ten ticks and two pictures, the browser closed and opened: all there, once', async ({ playwright }, info) => {
    const house = await reached();
    const profile = info.outputPath('phone');
    const start = async () => {
      const launch = { ...info.project.use.launchOptions, ...phone, ignoreHTTPSErrors: true };
      launch.args = [...launch.args, '--ignore-certificate-errors'];
      const context = await playwright.chromium.launchPersistentContext(profile, launch);
      return [context, context.pages()[0] ?? (await context.newPage())];
    };
    let [context, page] = await start();
    try {
      const address = await helperBy(page, house);
      await context.clearCookies();
      await pair(page, address);
      await page.goto(`${house.secure}/jobs/tamarack-row--planned/field`);
      await ready(page);
      await page.evaluate(() => navigator.serviceWorker.ready);
      await expect.poll(() => kept(page).getAttribute('data-pages'), { timeout: 60_000 }).toMatch(/^(\d+)\/\1$/);

      // What is the owner's is refused to the helper.
      expect((await page.request.get(`${house.secure}/people`)).status()).toBe(403);
      expect((await context.request.get(address)).ok()).toBe(true);
      expect(await (await context.request.get(address)).text()).toContain('This code is not good');

      await context.setOffline(true);
      await page.goto(`${house.secure}/jobs/tamarack-row--planned/field/kitchen`);
      await ready(page);
      const keys = (await keysOf(page)).slice(0, 10);
      expect(keys.length).toBe(10);
      for (const key of keys.slice(0, 6)) await press(page, key);
      await waiting(page).toBe('6');

      // The battery goes.
      await context.close();
      [context, page] = await start();
      await context.setOffline(true);
      await page.goto(`${house.secure}/jobs/tamarack-row--planned/field/kitchen?work=Set`);
      await ready(page);
      for (const key of keys.slice(0, 6)) await expect(task(page, key)).toHaveClass(/done/);
      for (const key of keys.slice(6)) await press(page, key);
      await page.locator('[data-to-work="Photograph"]').click();
      const walls = await page
        .locator('[data-tasks="Photograph"] [data-task]')
        .evaluateAll(all => all.map(i => i.dataset.task).slice(0, 2));
      for (const wall of walls) {
        const item = await open(page, wall);
        await item.locator('input[type="file"]').setInputFiles(none);
        await expect(item).toContainText('no picture that this phone can read');
        await item.locator('input[type="file"]').setInputFiles(picture);
        await expect(item).toHaveClass(/done/);
      }
      await waiting(page).toBe('12');
      await context.close();
      [context, page] = await start();
      await page.goto(`${house.secure}/jobs/tamarack-row--planned/field/kitchen?work=Set`);
      await ready(page);
      await waiting(page).toBe('0');
      await page.reload();
      await ready(page);
      for (const key of [...keys, ...walls]) await expect(task(page, key)).toHaveClass(/done/);
      for (const wall of walls) await expect(task(page, wall).locator('.photos img')).toHaveCount(1);
      await expect(task(page, keys[0])).toContainText('by Hal Helper');
      const list = await (await context.request.get(`${house.secure}/jobs/tamarack-row--planned/field/pages`)).json();
      expect(list.upTo).toBe(12);
      await expect(page.locator('[data-refused]')).toBeHidden();

      // Who signs out leaves no pages behind.
      await page.goto(`${house.secure}/field`);
      await ready(page);
      await page.getByRole('button', { name: 'Sign out' }).click();
      await expect(page).toHaveURL(/sign-in/);
      expect(await page.evaluate(async () => (await caches.keys()).filter(n => n.startsWith('circuitum-job ')))).toEqual([]);
    } finally {
      await context.close();
      house.end();
    }
  });
});

test('two phones at once: the same tick is no conflict, as it should be', async ({ browser, house }) => {
  const at = `${house.job}/field/kitchen?work=Pull`;
  const contexts = [await browser.newContext(phone), await browser.newContext(phone)];
  const [one, two] = await Promise.all(contexts.map(c => c.newPage()));
  await Promise.all([one, two].map(p => p.goto(at)));
  await Promise.all([one, two].map(ready));
  const keys = await one.locator('[data-tasks="Pull"] [data-task]').evaluateAll(all => all.map(i => i.dataset.task));
  const branch = keys.find(k => k.split('/').length > 2);
  await Promise.all([press(one, branch), press(two, branch)]);
  await Promise.all([one, two].map(p => waiting(p).toBe('0')));
  await one.reload();
  await ready(one);
  await expect(task(one, branch)).toHaveClass(/done/);
  await expect(one.locator('[data-refused]')).toBeHidden();
  await expect(task(one, branch).locator('.notice')).toHaveCount(0);
  await Promise.all(contexts.map(c => c.close()));
});

test('an inspection is walked, a failed item is a finding and a correction; a fault is found by its readings; a question is answered', async ({
  page,
  house,
}) => {
  await page.setViewportSize({ width: 360, height: 640 });
  await page.goto(`${house.job}/check-off`);
  await ready(page);
  await readsWell(page, { alike: true, drawings: false });
  const keys = await page.locator('[data-task^="check/rough/"]').evaluateAll(all => all.map(i => i.dataset.task));
  const failed = await open(page, keys[1]);
  await failed.locator('textarea').fill('sheath short in two boxes');
  await failed.locator('button[value="Wrong"]').click();
  await expect(failed).toHaveClass(/wrong/);
  await press(page, keys[0]);
  const permit = await open(page, 'permit');
  await permit.locator('[name="value"]').fill('RB-26-0417');
  await permit.locator('[data-do]').click();
  await expect(permit).toHaveClass(/done/);
  await waiting(page).toBe('0');
  await page.goto(`${house.job}/findings`);
  await expect(page.locator('.findings').first()).toContainText('sheath short in two boxes');
  // It counts on every page, like what the plan itself breaks.
  await page.goto(`${house.job}/circuits`);
  await expect(page.locator('.totals')).toContainText('1 must');
  await page.goto(`${house.job}/papers/check-rough`);
  await expect(page.locator('main')).toContainText('RB-26-0417');
  await page.goto(`${house.job}/papers/corrections`);
  await expect(page.locator('main')).toContainText('sheath short in two boxes');

  // The other pages of the field read as well.
  for (const at of ['/tests', '/field-plan', '/codes']) {
    await page.goto(`${house.job}${at}`);
    await readsWell(page, { alike: true, drawings: false });
    expect(await page.evaluate(() => document.documentElement.scrollWidth), at).toBeLessThanOrEqual(360);
  }

  // The same answers as a wire that is out of its joint would give, until it is found.
  await page.goto(`${house.job}/find-fault`);
  await page.locator('[name="circuit"]').selectOption({ index: 3 });
  await page.getByRole('button', { name: 'Begin' }).click();
  await readsWell(page, { alike: true, drawings: false });
  for (let i = 0; i < 20 && (await page.locator('.answer').count()) > 0; i++) await page.locator('.answer').first().click();
  await expect(page.locator('.all-done')).toBeVisible();
  await page.locator('a', { hasText: 'Take the last back' }).click();
  await expect(page.locator('.answer').first()).toBeVisible();

  await page.goto(`${house.job}/trainer?kind=size&n=2`);
  await readsWell(page, { alike: true, drawings: false });
  await page.locator('[name="answer"]').first().check();
  await page.getByRole('button', { name: 'Answer' }).click();
  await expect(page.locator('[data-earned]')).toBeVisible();
  await expect(page.locator('[data-score]')).toContainText('of 100');
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
});
