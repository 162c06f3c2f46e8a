// How long an answer takes from pointer up to the next frame, and frames while zooming. It prints; docs/performance.md keeps what was measured.
// Run: npx playwright test --config benchmarks/browser/playwright.config.mjs
import { test, visit, expect } from '../../tests/browser/house.mjs';
import { clickAt, dragTo, edited, take } from '../../tests/browser/hand.mjs';
import { bigHouse } from './bighouse.mjs';

// From pointer up to the next frame that shows the answer.
async function measure(page, moves) {
  const times = [];
  for (const move of moves) {
    const [from, to] = typeof move === 'function' ? await move() : move;
    await page.evaluate(() => {
      const stamp = document.getElementById('work').dataset.stamp;
      window.took = new Promise((done, fail) =>
        document.addEventListener(
          'pointerup',
          () => {
            setTimeout(() => fail(new Error(document.querySelector('[role=alert]')?.textContent ?? 'no answer')), 5000);
            const began = performance.now();
            const changed = new MutationObserver(() => {
              if (document.getElementById('work')?.dataset.stamp === stamp) return;
              changed.disconnect();
              requestAnimationFrame(() => done(performance.now() - began));
            });
            changed.observe(document.body, { childList: true, subtree: true, attributes: true, attributeFilter: ['data-stamp'] });
          },
          { once: true },
        ),
      );
    });
    await dragTo(page, from, to);
    times.push(await page.evaluate(() => window.took));
  }
  times.sort((a, b) => a - b);
  return { median: times[times.length >> 1], most: times[Math.ceil(times.length * 0.95) - 1] };
}

// Where a box stands, in inches of the plan.
const place = (page, box) =>
  page.locator(`[data-box="${box}"]`).evaluate(e =>
    e
      .getAttribute('transform')
      .match(/-?[\d.]+/g)
      .map(Number),
  );

visit.describe('with boxes', () => {
  visit.use({ begins: 'boxes' });

  visit('the drag of one box is answered at once', async ({ page, house }) => {
    await page.goto(`${house.job}/boxes`);
    const from = await place(page, 'living.r1');
    const wall =
      Math.abs(from[0] - (await page.locator('.floor[data-pick="room:living"]').evaluate(e => e.getBBox().x))) < 20 ? [0, 24] : [24, 0];
    // To and fro along its wall, each time from where it is drawn.
    const moves = Array.from({ length: 16 }, (_, i) => async () => {
      const [x, y] = await place(page, 'living.r1');
      const way = i % 2 ? -1 : 1;
      return [
        [x, y],
        [x + way * wall[0], y + way * wall[1]],
      ];
    });
    const { median, most } = await measure(page, moves);
    console.log(`a box: median ${median.toFixed(0)} ms, 95th ${most.toFixed(0)} ms`);
  });
});

async function frames(page) {
  const box = await page.locator('.canvas').boundingBox();
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.evaluate(() => {
    window.ticks = [];
    const tick = t => {
      window.ticks.push(t);
      window.ticking = requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
  });
  await page.mouse.move(x, y);
  for (let i = 0; i < 12; i++) await page.mouse.wheel(0, i % 2 ? 120 : -240);
  await page.mouse.down();
  await page.mouse.move(x + 200, y + 80, { steps: 40 });
  await page.mouse.up();
  const ticks = await page.evaluate(() => {
    cancelAnimationFrame(window.ticking);
    return window.ticks;
  });
  const gaps = ticks
    .slice(1)
    .map((t, i) => t - ticks[i])
    .sort((a, b) => a - b);
  return 1000 / (gaps.reduce((a, b) => a + b, 0) / gaps.length);
}

for (const [name, make, room] of [
  ['the demo house', null, 'room:living'],
  ['60 rooms and 400 openings', bigHouse, 'room:r14'],
]) {
  test(`edits and zoom are quick on ${name}`, async ({ page, house }) => {
    let job = 'tamarack-row';
    if (make) {
      await page.goto(house.url);
      await page
        .getByLabel('Job file or DXF')
        .setInputFiles({ name: 'big.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(make())) });
      await page.getByRole('button', { name: 'Import' }).click();
      await expect(page.locator('.plan .floor')).toHaveCount(60);
      await expect(page.locator('.hit-line')).toHaveCount(400);
      job = 'big-house';
    }
    await page.goto(`${house.url}/jobs/${job}/rooms`);
    // A wish in the middle of a room goes to and fro: each drop is checked, stored, analysed and drawn like any edit.
    const { x, y, width, height } = await page.locator(`.floor[data-pick="${room}"]`).evaluate(e => {
      const b = e.getBBox();
      return { x: b.x, y: b.y, width: b.width, height: b.height };
    });
    const [cx, cy] = [x + width / 2, y + height / 3];
    await take(page, 'wish:desk');
    await edited(page, () => clickAt(page, cx - 20, cy));
    await page.locator('body').press('v');
    const moves = Array.from({ length: 24 }, (_, i) =>
      i % 2
        ? [
            [cx + 20, cy],
            [cx - 20, cy],
          ]
        : [
            [cx - 20, cy],
            [cx + 20, cy],
          ],
    );
    const { median, most } = await measure(page, moves);
    await page.locator('[data-zoom="fit"]').click();
    await expect(page.locator('.plan')).not.toHaveAttribute('style', /scale/);
    const rate = await frames(page);
    console.log(
      `${name}: edit median ${median.toFixed(0)} ms, 95th ${most.toFixed(0)} ms, zoom and pan ${rate.toFixed(0)} frames a second`,
    );
  });
}
