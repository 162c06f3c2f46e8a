// Ways to look at a house: the small map, night, the palette by typing, walls on a phone.
import { edited, take } from './hand.mjs';
import { visit as test, expect } from './house.mjs';

const shown = page => page.locator('.plan').evaluate(svg => (({ x, y, width, height }) => ({ x, y, width, height }))(svg.viewBox.baseVal));

test('zoomed far in, a small map tells where one is and leads elsewhere', async ({ page, house }) => {
  await page.goto(`${house.job}/circuits`);
  await expect(page.locator('html[data-ready]')).toBeAttached();
  const map = page.locator('.overview');
  await expect(map).toHaveCount(0);
  const whole = await page.locator('.plan').evaluate(svg => svg.getAttribute('viewBox').split(' ').map(Number));
  for (let i = 0; i < 5; i++) await page.locator('[data-zoom="in"]').click();
  await expect(map).toBeVisible();
  await expect.poll(async () => (await shown(page)).width).toBeLessThan(whole[2] / 2.5);

  // The frame in the map is what the sheet shows.
  await expect(async () => {
    const frame = await map.locator('.overview-here').evaluate(r => ['x', 'y', 'width'].map(n => Number(r.getAttribute(n))));
    const view = await shown(page);
    for (const [i, n] of ['x', 'y', 'width'].entries()) expect(Math.abs(frame[i] - view[n])).toBeLessThan(1);
  }).toPass();

  // A hand on its upper left corner brings that corner of the house into the middle.
  // The map is drawn anew with the answer to the zoom, so for a moment it has no place.
  let at;
  await expect(async () => expect((at = await map.boundingBox())).not.toBeNull()).toPass();
  const { x, y, width, height } = at;
  await page.mouse.click(x + width * 0.25, y + height * 0.25);
  const middle = async () => {
    const v = await shown(page);
    return (v.x + v.width / 2 - whole[0]) / whole[2];
  };
  await expect.poll(middle).toBeLessThan(0.3);
  await expect(page.locator('#work')).toHaveAttribute('data-pick', '');
  await page.locator('[data-zoom="fit"]').click();
  await expect(map).toBeHidden();
});

test('an edit elsewhere leaves what is typed, and the form of an edit that was done is empty', async ({ page, house }) => {
  await page.goto(`${house.job}/rooms`);
  await expect(page.locator('html[data-ready]')).toBeAttached();
  const form = page.locator('form').filter({ has: page.getByRole('button', { name: 'Add room' }) });
  const name = form.locator('[name=name]');
  const type = async (what, size) => {
    await name.fill(what);
    await form.getByLabel('Size').fill(size);
  };
  const floor = await page.locator('.floor[data-pick="room:living"]').boundingBox();
  await take(page, 'wish:desk');
  await edited(page, () => page.mouse.click(floor.x + floor.width / 2, floor.y + floor.height / 3));
  await type('Sewing room', '9 x 10');
  for (const step of ['undo', 'redo']) {
    await edited(page, () => page.locator(`.steps [data-do="${step}"]`).click());
    await expect(name).toHaveValue('Sewing room');
  }
  await form.locator('[name=side]').selectOption('East');
  await form.locator('[name=beside]').selectOption('garage');
  await edited(page, () => form.getByRole('button', { name: 'Add room' }).click());
  await expect(page.getByRole('link', { name: /^Sewing room/ })).toBeVisible();
  await expect(name).toHaveValue('');
});

test('night is one press, and stays over pages', async ({ page, house }) => {
  await page.goto(`${house.job}/rooms`);
  const paper = () => page.evaluate(() => getComputedStyle(document.body).color);
  const day = await paper();
  await page.locator('[data-night]').click();
  await expect.poll(paper).not.toBe(day);
  const night = await paper();
  await page.goto(`${house.job}/papers/packet`);
  expect(await page.evaluate(() => document.documentElement.dataset.theme)).toBe('night');
  await page.goto(`${house.job}/rooms`);
  expect(await paper()).toBe(night);
});

test('what to put into the house is found by typing, and Enter takes it', async ({ page, house }) => {
  await page.goto(`${house.job}/rooms`);
  await expect(page.locator('html[data-ready]')).toBeAttached();
  await page.keyboard.press('/');
  await page.keyboard.type('dishw');
  await expect(page.locator('.palette [data-tool]:visible')).toHaveCount(1);
  await page.keyboard.type('xx');
  await expect(page.locator('.palette .none')).toBeVisible();
  for (let i = 0; i < 2; i++) await page.keyboard.press('Backspace');
  await page.keyboard.press('Enter');
  await expect(page.locator('.palette')).toBeHidden();
  await expect(page.locator('.plan')).toHaveClass(/drawing-tool/);
});

test('a plan drawn anew for another size leaves what is open over it, and what is typed', async ({ page, house }) => {
  await page.goto(`${house.job}/rooms`);
  await expect(page.locator('html[data-ready]')).toBeAttached();
  // As if the program had forgotten what this page shows, and sent all of it.
  await page.route('**/rooms*', (route, request) => {
    const { 'x-drawn': _, ...headers } = request.headers();
    return route.continue({ headers });
  });
  const texts = () => page.locator('.plan text').count();
  const before = await texts();
  await page.locator('.side [name="name"]').first().fill('Sewing room');
  await page.evaluate(() => (document.getElementById('work').dataset.mark = 'same'));
  for (let i = 0; i < 5; i++) await page.locator('[data-zoom="in"]').click();
  await expect.poll(texts).not.toBe(before);
  await expect(page.locator('#work')).toHaveAttribute('data-mark', 'same');
  await expect(page.locator('.side [name="name"]').first()).toHaveValue('Sewing room');
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 780 }, hasTouch: true });

  test('all walls of a room stand side by side, one to a screen', async ({ page, house }) => {
    await page.goto(`${house.job}/walls?room=kitchen`);
    const walls = page.locator('.swiped > figure');
    const boxes = await walls.evaluateAll(all => all.map(w => w.getBoundingClientRect()).map(r => [r.left, r.top, r.width]));
    expect(boxes.length).toBeGreaterThanOrEqual(4);
    for (const [i, [left, top, width]] of boxes.entries()) {
      expect(Math.abs(top - boxes[0][1])).toBeLessThan(2);
      expect(width).toBeLessThanOrEqual(390);
      if (i > 0) expect(left).toBeGreaterThanOrEqual(boxes[i - 1][0] + boxes[i - 1][2] - 1);
    }
    // It does not stop halfway between two.
    const snap = await walls.first().evaluate(w => getComputedStyle(w.parentElement).scrollSnapType);
    expect(snap).toContain('x');
  });
});
