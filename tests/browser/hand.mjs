// What a hand does on the plan, and how long the answer takes.
import AxeBuilder from '@axe-core/playwright';
import { expect } from '@playwright/test';

// Where a place of the plan lies on the screen.
export const at = (page, x, y) =>
  page.locator('.plan').evaluate(
    (svg, [x, y]) => {
      const m = svg.getScreenCTM();
      return [x * m.a + m.e, y * m.d + m.f];
    },
    [x, y],
  );

export async function dragTo(page, from, to) {
  const [x, y] = await at(page, ...from),
    [u, v] = await at(page, ...to);
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move((x + u) / 2, (y + v) / 2, { steps: 3 });
  await page.mouse.move(u, v, { steps: 2 });
  await page.mouse.up();
}

export async function clickAt(page, x, y) {
  await page.mouse.click(...(await at(page, x, y)));
}

// After an edit the whole page part is a new one with the next stamp.
export async function edited(page, act) {
  const stamp = Number(await page.locator('#work').getAttribute('data-stamp'));
  await act();
  const now = async () => Number(await page.locator('#work').getAttribute('data-stamp'));
  await expect.poll(now, { timeout: 30_000 }).toBeGreaterThan(stamp);
}

// The page is one that everyone can read. Where rows of a table or items of a list are alike, the first eight stand for all; and
// drawings, made by the same code wherever they are, can be left to the page that looks at them.
export async function readsWell(page, { alike = false, drawings = true } = {}) {
  await page.evaluate(
    ([alike, drawings]) => {
      if (alike) document.querySelectorAll('tbody tr:nth-child(n+9), li:nth-child(n+9)').forEach(e => e.remove());
      if (!drawings) document.querySelectorAll('svg').forEach(e => e.remove());
    },
    [alike, drawings],
  );
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode()
    .options({ resultTypes: ['violations'] })
    .analyze();
  expect(violations.map(v => `${page.url()}: ${v.id} ${v.nodes[0].html.slice(0, 160)}`)).toEqual([]);
}

// Takes up a tool: from the rail where it stands there, else from the palette.
export async function take(page, word) {
  const inRail = page.locator(`.rail [data-tool="${word}"]`);
  if (await inRail.count()) return inRail.click();
  await page.locator('[data-palette]').click();
  await page.locator(`.palette [data-tool="${word}"]`).click();
}
