// What is measured in the house: by two people, and on a picture.
import { expect } from '@playwright/test';
import { readsWell } from './hand.mjs';
import { visit as test, reached } from './house.mjs';
import { helperBy, pair } from './people.mjs';

const phone = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };
const ready = page => expect(page.locator('html[data-ready]')).toBeAttached();
const sent = page => expect.poll(() => page.locator('[data-kept]').getAttribute('data-waiting')).toBe('0');

async function took(page, key, feet) {
  const item = page.locator(`[data-task="${key}"]`);
  if (!(await item.locator('> details').evaluate(d => d.open))) await item.locator('> details > summary').click();
  await item.locator('[name="value"]').fill(feet);
  await item.locator('[data-do]').click();
  await expect(item).toHaveClass(/done/);
  await sent(page);
}

test('two people measured the same cable, not the same: both are shown, and a person chooses', async ({ browser }) => {
  const house = await reached();
  const contexts = [];
  const page = async () => {
    contexts.push(await browser.newContext({ ...phone, ignoreHTTPSErrors: true }));
    return contexts.at(-1).newPage();
  };
  try {
    const [owner, helper] = [await page(), await page()];
    await pair(helper, await helperBy(owner, house));
    const at = '/jobs/tamarack-row--planned/field/kitchen?work=Pull';
    await Promise.all([owner.goto(`${house.url}${at}`), helper.goto(`${house.secure}${at}`)]);
    await Promise.all([owner, helper].map(ready));
    const keys = await owner.locator('[data-tasks="Pull"] [data-task]').evaluateAll(all => all.map(i => i.dataset.task));
    const key = keys.find(k => /^pull\/\d+$/.test(k));
    await took(owner, key, '57');
    await took(helper, key, '61');
    await helper.reload();
    await ready(helper);
    const item = helper.locator(`[data-task="${key}"]`);
    await item.locator('> details > summary').click();
    const notice = item.locator('.notice', { hasText: 'Measured twice' });
    await expect(notice.getByRole('button', { name: '57 by Olga Owner' })).toBeVisible();
    await readsWell(helper, { alike: true, drawings: false });
    await notice.getByRole('button', { name: '61 by Hal Helper' }).click();
    await ready(helper);
    await expect(helper.locator('.notice', { hasText: 'Measured twice' })).toHaveCount(0);
  } finally {
    for (const context of contexts) await context.close();
    house.end();
  }
});

test.describe('on a phone', () => {
  test.use(phone);

  test('a picture takes its scale by two touches, and measures by it', async ({ page, house }) => {
    // A wall of 400 by 300 pixels, made by the browser itself.
    await page.goto(`${house.job}/field/kitchen?work=Photograph`);
    await ready(page);
    const bytes = await page.evaluate(async () => {
      const canvas = new OffscreenCanvas(400, 300);
      canvas.getContext('2d').fillRect(0, 0, 400, 300);
      return [...new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer())];
    });
    const item = page.locator('[data-tasks="Photograph"] [data-task]').first();
    await item.locator('input[type="file"]').setInputFiles({ name: 'wall.png', mimeType: 'image/png', buffer: Buffer.from(bytes) });
    await expect(item).toHaveClass(/done/);
    await sent(page);
    await page.reload();
    await ready(page);
    await page.locator('.photos a').first().dispatchEvent('click');
    await expect(page).toHaveURL(/\/photos\/\d+$/);

    // Where it is touched is known once the picture is there.
    const touch = async (...places) => {
      await page.waitForLoadState('load');
      const box = await page.locator('[data-measure]').boundingBox();
      for (const [x, y] of places) await page.touchscreen.tap(box.x + x * box.width, box.y + y * box.height);
    };
    await touch([0.2, 0.3], [0.7, 0.3]);
    await expect(page.locator('[data-measured]')).toContainText('How far apart');
    await page.locator('[name="apart"]').fill('nothing');
    await page.getByRole('button', { name: 'Set the scale' }).click();
    await expect(page.getByRole('alert')).toBeVisible();
    await touch([0.2, 0.3], [0.7, 0.3]);
    await page.locator('[name="apart"]').fill(`5'`);
    await page.getByRole('button', { name: 'Set the scale' }).click();
    // A quarter of the picture's breadth is half of what was told.
    await touch([0.25, 0.6], [0.5, 0.6]);
    await expect(page.locator('[data-measured]')).toContainText(/About 2'-(5|6|7)/);
    await page.getByRole('button', { name: 'Take the scale away' }).click();
    await expect(page.locator('[data-measured]')).toContainText('Touch two marks of the tape');
    await readsWell(page, { alike: true, drawings: false });
  });

  test('an inspection is practised room by room, scored, and told why', async ({ page, house }) => {
    await page.goto(`${house.job}/trainer?kind=walk&n=2`);
    await readsWell(page, { alike: true, drawings: false });
    expect(await page.locator('.choices').count()).toBeGreaterThan(2);
    await page.locator('[name="answer"]').first().check();
    await page.getByRole('button', { name: 'Answer' }).click();
    await expect(page.locator('.choices .right').first()).toContainText(/Found\.|Missed\./);
    await expect(page.locator('[data-score]')).toContainText('of 100');
    await readsWell(page, { alike: true, drawings: false });
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  });
});
