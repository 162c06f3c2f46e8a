// What a hand does on the plan, and how long the answer takes.
import { expect } from '@playwright/test';

// Where a place of the plan lies on the screen.
export const at = (page, x, y) => page.locator('.plan').evaluate((svg, [x, y]) => {
  const m = svg.getScreenCTM();
  return [x * m.a + m.e, y * m.d + m.f];
}, [x, y]);

export async function dragTo(page, from, to) {
  const [x, y] = await at(page, ...from), [u, v] = await at(page, ...to);
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move((x + u) / 2, (y + v) / 2, { steps: 3 });
  await page.mouse.move(u, v, { steps: 2 });
  await page.mouse.up();
}

export async function clickAt(page, x, y) {
  await page.mouse.click(...await at(page, x, y));
}

// After an edit the whole page part is a new one with the next stamp.
export async function edited(page, act) {
  const stamp = Number(await page.locator('#work').getAttribute('data-stamp'));
  await act();
  await expect.poll(async () => Number(await page.locator('#work').getAttribute('data-stamp'))).toBeGreaterThan(stamp);
}
