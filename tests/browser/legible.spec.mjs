// The plan can be read as the page really shows it: no text over another or over a symbol, no letter too small, on a desk and on a phone;
// one room fills the sheet and goes back; buildings fit by themselves.
import { visit as test, expect } from './house.mjs';

test.use({ begins: 'circuits' });

// What lies over what on the page, in the browser's own measure of its letters.
const measure = page =>
  page.locator('.canvas .plan').evaluate(svg => {
    const inside = (a, b) =>
      Math.min(a.right, b.right) - Math.max(a.left, b.left) > 0.6 && Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) > 0.6;
    const top = e => {
      let at = e;
      while (at.parentElement.closest('g[transform]')) at = at.parentElement.closest('g[transform]');
      return at;
    };
    // Letters fill most of what the browser calls their box, but not its head and foot.
    const letters = e => {
      const r = e.getBoundingClientRect();
      const [upper, lower] = [r.height * 0.18, r.height * 0.2];
      return { left: r.left, right: r.right, top: r.top + upper, bottom: r.bottom - lower };
    };
    const texts = [...svg.querySelectorAll('text')].map(e => ({
      what: e.textContent,
      at: top(e),
      box: letters(e),
      size: e.getAttribute('font-size') * e.getScreenCTM().a,
    }));
    const turned = t => t.at.getAttribute('transform').includes('rotate');
    const marks = [...svg.querySelectorAll('.symbol')].map(e => ({
      what: top(e).querySelector('title')?.textContent,
      at: top(e),
      box: e.getBoundingClientRect(),
    }));
    const wrong = [];
    texts.forEach((a, i) =>
      texts.slice(i + 1).forEach(b => a.at !== b.at && inside(a.box, b.box) && wrong.push(`${a.what} over ${b.what}`)),
    );
    for (const t of texts) for (const m of marks) if (t.at !== m.at && inside(t.box, m.box)) wrong.push(`${t.what} over ${m.what}`);
    for (const t of texts) if (!turned(t) && t.size < 10.9) wrong.push(`${t.what} is ${t.size.toFixed(1)} px`);
    return { wrong, texts: texts.length };
  });

const settled = page => page.locator('html[data-ready] .canvas .plan').waitFor();

test('on a desk no text lies over anything at any stage, zoomed in, or with a circuit picked', async ({ page, house }) => {
  for (const address of [
    'rooms',
    'boxes',
    'circuits',
    'circuits?pick=circuit:28',
    'runs',
    'circuits?storey=second',
    'rooms?pick=room:kitchen',
  ]) {
    await page.goto(`${house.job}/${address}`);
    await settled(page);
    await page.evaluate(() => document.fonts.ready);
    const { wrong, texts } = await measure(page);
    expect(wrong, address).toEqual([]);
    expect(texts).toBeGreaterThan(10);
  }
  await page.goto(`${house.job}/circuits`);
  await settled(page);
  const before = (await measure(page)).texts;
  for (let i = 0; i < 5; i++) await page.locator('[data-zoom="in"]').click();
  await expect.poll(async () => (await measure(page)).texts).toBeGreaterThan(before);
  expect((await measure(page)).wrong).toEqual([]);
});

test('on a phone the labels find their places for its size', async ({ page, house }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${house.job}/circuits`);
  await settled(page);
  await expect.poll(async () => (await measure(page)).wrong, { timeout: 15_000 }).toEqual([]);
  await page.reload();
  await settled(page);
  await page.evaluate(() => document.fonts.ready);
  expect((await measure(page)).wrong).toEqual([]);
});

test('two clicks on a floor make the room fill the sheet, a key goes back; black and white stays over a reload', async ({
  page,
  house,
}) => {
  await page.goto(`${house.job}/circuits`);
  await settled(page);
  const floor = page.locator('.plan .floor[data-pick="room:kitchen"]');
  const wide = async () => (await floor.boundingBox()).width;
  const before = await wide();
  const at = await page.locator('.plan .floor[data-pick="room:living"]').boundingBox();
  await page.mouse.dblclick(at.x + at.width / 2, at.y + at.height * 0.55);
  await expect(page.locator('.tools a[aria-current]')).toContainText('Living room');
  await page.keyboard.press('f');
  await expect(page.locator('.tools a[aria-current]')).toHaveText('First floor');
  expect(Math.abs((await wide()) - before)).toBeLessThan(2);

  // Zoom and place stay from stage to stage and when the page is loaded again.
  await page.locator('[data-zoom="in"]').click();
  await page.locator('[data-zoom="in"]').click();
  await expect.poll(wide).toBeGreaterThan(before * 1.5);
  const large = await wide();
  await page.goto(`${house.job}/boxes`);
  await settled(page);
  await expect.poll(async () => Math.abs((await wide()) - large)).toBeLessThan(3);
  await page.goto(`${house.job}/circuits`);
  await page.reload();
  await settled(page);
  await expect.poll(async () => Math.abs((await wide()) - large)).toBeLessThan(3);
  await page.locator('[data-zoom="fit"]').click();
  await page.locator('[data-paper]').click();
  await expect(page.locator('html')).toHaveClass(/as-on-paper/);
  await page.reload();
  await expect(page.locator('[data-paper]')).toHaveAttribute('aria-pressed', 'true');
});
