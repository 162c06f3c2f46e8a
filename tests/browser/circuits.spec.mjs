// Circuits by hand: what is dragged shows what each circuit would become, and goes where it is dropped.
import { visit as test, expect } from './house.mjs';
import { edited, take } from './hand.mjs';

const plan = (page, house) => page.goto(`${house.job}/circuits`);

const middle = async locator => {
  await locator.scrollIntoViewIfNeeded();
  const { x, y, width, height } = await locator.boundingBox();
  return [x + width / 2, y + height / 2];
};

const box = (page, id) => page.locator(`.plan [data-box="${id}"]`);
const circuitOf = (page, id) => box(page, id).getAttribute('data-circuit-of');
const row = (page, number) => page.locator(`tr[data-circuit="${number}"]`);

test('a box is dragged to a row of the list and every circuit shows what it would be', async ({ page, house }) => {
  await plan(page, house);
  const from = await circuitOf(page, 'living.r2');
  await row(page, 'new').scrollIntoViewIfNeeded();
  const [x, y] = await middle(box(page, 'living.r2'));
  const [u, v] = await middle(row(page, 'new'));
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 20, y + 10, { steps: 3 });
  await expect(row(page, from).locator('.would-be')).toContainText('boxes');
  await expect(page.locator('tr[data-circuit] .would-be')).toHaveCount((await page.locator('tr[data-circuit]').count()) - 1);
  await expect(page.locator('tr.breaks').first()).toBeVisible();
  await page.mouse.move(u, v, { steps: 4 });
  await expect(page.locator('.drag-card')).toContainText('new');
  await expect(page.locator('.drag-card')).toContainText('of cable');
  await edited(page, () => page.mouse.up());
  await expect(page.locator('.drag-card')).toHaveCount(0);
  await expect.poll(() => circuitOf(page, 'living.r2')).not.toBe(from);
  await expect(page.locator('.would-be')).toHaveCount(0);
});

test('a box is dropped on a box of another circuit; Escape lets it be', async ({ page, house }) => {
  await plan(page, house);
  const other = await circuitOf(page, 'kitchen.r1');
  const from = await circuitOf(page, 'living.r2');
  const [x, y] = await middle(box(page, 'living.r2')),
    [u, v] = await middle(box(page, 'kitchen.r1'));
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(u, v, { steps: 5 });
  await expect(page.locator('.drag-card')).toContainText('may not be on circuit');
  await page.keyboard.press('Escape');
  await page.mouse.up();
  expect(await circuitOf(page, 'living.r2')).toBe(from);
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(u, v, { steps: 5 });
  await edited(page, () => page.mouse.up());
  await expect.poll(() => circuitOf(page, 'living.r2')).toBe(other);
  await expect(page.locator('.strip .stop')).toBeVisible();
  await edited(page, () => page.keyboard.press('u'));
  await expect.poll(() => circuitOf(page, 'living.r2')).toBe(from);
});

test('a picked room is dragged to a new circuit of its own', async ({ page, house }) => {
  await plan(page, house);
  await page.goto(`${house.job}/circuits?pick=room:living`);
  const floor = page.locator('.floor[data-pick="room:living"]');
  await expect(floor).toHaveClass(/picked/);
  const { x, y, width, height } = await floor.boundingBox();
  await row(page, 'new').scrollIntoViewIfNeeded();
  await page.mouse.move(x + width * 0.3, y + height * 0.7);
  await page.mouse.down();
  await page.mouse.move(x + width * 0.4, y + height * 0.7, { steps: 3 });
  await page.mouse.move(...(await middle(row(page, 'new'))), { steps: 5 });
  await expect(page.locator('.drag-card')).toContainText('Living room');
  await edited(page, () => page.mouse.up());
  const on = await circuitOf(page, 'living.r1');
  for (const id of ['living.r2', 'living.r3', 'living.r4']) expect(await circuitOf(page, id)).toBe(on);
  expect(await circuitOf(page, 'office.r1')).not.toBe(on);
});

test('boxes are lassoed and a circuit number is typed; a locked circuit keeps its boxes when all is planned again', async ({
  page,
  house,
}) => {
  await plan(page, house);
  await take(page, 'lasso');
  const floor = await page.locator('.floor[data-pick="room:office"]').boundingBox();
  const corners = [
    [-8, -8],
    [floor.width + 8, -8],
    [floor.width + 8, floor.height + 8],
    [-8, floor.height + 8],
  ].map(([a, b]) => [floor.x + a, floor.y + b]);
  const around = async end => {
    await page.mouse.move(...corners[0]);
    await page.mouse.down();
    for (const c of corners.slice(1)) await page.mouse.move(...c, { steps: 6 });
    await end();
    await page.mouse.up();
  };
  await around(async () => {
    await expect(page.locator('.lasso')).toBeVisible();
    await page.keyboard.press('Escape');
  });
  await expect(page.locator('.lasso, .chosen-bar:visible')).toHaveCount(0);
  await take(page, 'lasso');
  await around(async () => {});
  await expect(page.locator('.chosen-bar')).toBeVisible();
  const ids = await page.locator('.plan [data-box].chosen').evaluateAll(bs => bs.map(b => b.dataset.box));
  expect(ids).toEqual(expect.arrayContaining(['office.r1', 'office.r2', 'office.r3']));
  await page.keyboard.press('c');
  await page.keyboard.type('new');
  await expect(page.locator('.preview')).toContainText('of cable');
  await edited(page, () => page.keyboard.press('Enter'));
  const on = await circuitOf(page, 'office.r1');
  for (const id of ids) expect(await circuitOf(page, id)).toBe(on);
  await row(page, on).getByRole('link').click();
  await edited(page, () => page.getByRole('button', { name: 'Lock', exact: true }).click());
  await page.goto(`${house.job}/circuits`);
  await edited(page, () => page.getByRole('button', { name: 'Plan afresh' }).click());
  for (const id of ids) expect(await circuitOf(page, id)).toBe(on);
  await page.goto(`${house.job}/circuits?pick=box:living.r1`);
  await page.locator('#to-circuit').fill(on);
  await page.getByRole('button', { name: 'Put there' }).click();
  await expect(page.getByRole('alert')).toContainText(`Circuit ${on} is locked`);
});

test('a room is pinned alone, its price is told, and a division that takes its time can be ended', async ({ page, house }) => {
  const bedroom = `${house.job}/circuits?pick=room:bed-2`;
  await page.goto(bedroom);
  const shared = await circuitOf(page, 'bed-2.r1');
  await page.goto(`${house.job}/circuits?pick=circuit:${shared}`);
  const pins = page.locator('.ticket details', { hasText: 'Rooms kept alone' });
  await pins.locator('summary').click();
  await pins.getByLabel('Keep').selectOption('bed-2');
  await edited(page, () => pins.getByRole('button', { name: 'Pin' }).click());
  await page.goto(bedroom);
  const own = await circuitOf(page, 'bed-2.r1');
  await page.goto(`${house.job}/circuits?pick=circuit:${own}`);
  await expect(page.locator('.ticket .pin')).toContainText('alone');
  await page.locator('.ticket').getByRole('button', { name: 'What it costs' }).click();
  await expect(page.getByRole('dialog')).toContainText('alone');
  await page.getByRole('button', { name: 'Close' }).click();
  // The answer is held back, as in a very large house.
  await page.route('**/circuits?*', async route => {
    if (route.request().method() === 'POST') await new Promise(done => setTimeout(done, 2500));
    await route.continue();
  });
  const asked = page.waitForRequest(r => r.url().endsWith('/planning') && r.method() === 'POST');
  await page.getByRole('button', { name: 'Plan afresh' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'divided' })).toBeVisible();
  await page.getByRole('button', { name: 'Take the best so far' }).click();
  expect((await (await asked).response()).status()).toBe(204);
  await expect(page.locator('.planning')).toHaveCount(0);
  await expect(page.locator('.strip')).toContainText('0 must');
});

test('a home run is ticked off on a phone and the plan draws its way', async ({ page, house }) => {
  await plan(page, house);
  const drawn = await circuitOf(page, 'living.r1');
  await page.goto(`${house.job}/circuits?pick=circuit:${drawn}`);
  await expect(page.locator('.run.home-run')).toHaveCount(1);
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${house.job}/pull`);
  const line = page.locator(`#run-${drawn}`);
  await line.getByLabel('Took').fill("31'");
  await line.getByRole('button', { name: 'Pulled' }).click();
  await expect(page.locator(`#run-${drawn}.done`)).toContainText('took 31 ft');
  await expect(page.locator('main')).toContainText('1 of 27 pulled');
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await page.locator(`#run-${drawn}`).getByRole('button', { name: 'Take back' }).click();
  await expect(page.locator('main')).toContainText('0 of 27 pulled');
});

test('one circuit of another plan is taken, circuits are split and numbered anew, the saving of afresh is told', async ({
  page,
  house,
}) => {
  await plan(page, house);
  await page.getByRole('link', { name: 'Compare plans' }).click();
  const section = page.locator('section', { hasText: 'Least darkness' });
  await section.locator('summary').click();
  const part = await section.locator('details button').first().textContent();
  await section.locator('details button').first().click();
  await expect(page.getByRole('button', { name: 'Undo take part of a plan' })).toBeVisible();
  expect(part).toMatch(/\d+ boxes$/);
  await page.getByRole('button', { name: 'What afresh would save' }).click();
  await expect(page.locator('#why')).toContainText('Cost planned afresh');
  await page.keyboard.press('Escape');
  const rows = await page.locator('tr[data-circuit]').count();
  await row(page, await circuitOf(page, 'living.r1'))
    .getByRole('link')
    .click();
  await edited(page, () => page.getByRole('button', { name: 'Split in half' }).click());
  await page.goto(`${house.job}/circuits`);
  await expect(page.locator('tr[data-circuit]')).toHaveCount(rows + 1);
  // The new circuit has the number of its space at once, so there is nothing to number anew.
  await page.getByRole('button', { name: 'Renumber by the panel' }).click();
  await expect(page.getByRole('alert')).toContainText('numbers of their spaces already');
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('what is tried, and what goes dark, stays when the plan is drawn for the size of the screen', async ({ page, house }) => {
    const number = await page.request
      .get(`${house.job}/circuits`)
      .then(r => r.text())
      .then(text => text.match(/data-circuit="(\d+)"/)[1]);
    for (const dark of [`circuit:${number}`, `try:${number};o0`]) {
      await page.goto(`${house.job}/circuits?pick=circuit:${number}&dark=${dark}`);
      await expect(page.locator('html[data-ready]')).toBeAttached();
      await page.waitForLoadState('networkidle');
      await expect(page.locator('.plan .off').first()).toBeAttached();
      expect(decodeURIComponent(page.url())).toContain(`dark=${dark}`);
      // The other way up, the plan comes once more.
      const drawn = page.waitForResponse(r => r.url().includes('/circuits?') && r.request().headers()['x-again'] === 'plan');
      await page.setViewportSize(dark.startsWith('try') ? { width: 390, height: 844 } : { width: 844, height: 390 });
      await drawn;
      await page.waitForLoadState('networkidle');
      await expect(page.locator('.plan .off').first()).toBeAttached();
    }
  });
});
