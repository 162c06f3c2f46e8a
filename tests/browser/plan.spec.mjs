import { test, visit, expect } from './house.mjs';
import { clickAt, dragTo, edited, take } from './hand.mjs';

async function start(page, house, name) {
  await page.goto(house.url);
  await page.getByLabel('Name').fill(name);
  await page.getByRole('button', { name: 'Start the job' }).click();
  await expect(page.locator('html[data-ready] .plan')).toBeVisible();
}

async function openNext(page, name) {
  await page.locator('summary', { hasText: 'Add a storey' }).click();
  const form = page.locator('form', { has: page.getByRole('button', { name: 'Add storey' }) });
  await form.getByLabel('Name').fill(name);
  await form.getByLabel('Floor over the first').fill("9'6");
  await edited(page, () => form.getByRole('button', { name: 'Add storey' }).click());
  await page.getByRole('link', { name, exact: true }).click();
  await expect(page.locator('.floor')).toHaveCount(0);
}

test('three storeys: one by mouse, one by keyboard, one from a drawing that comes back the same', async ({ page, house }) => {
  await start(page, house, 'Wren House');

  // By mouse: two rooms drawn, a door and a window clicked, a wall dragged, a dimension typed over.
  await take(page, 'room');
  await edited(page, () => dragTo(page, [10, 10], [154, 130]));
  await edited(page, () => dragTo(page, [158, 10], [290, 130]));
  await expect(page.locator('.list')).toContainText('12\'-0" x 10\'-0"');
  await take(page, 'opening:hinged');
  const [x] = (await page.locator('[data-drag="wall:room-1:1"]').getAttribute('d')).match(/-?[\d.]+/g).map(Number);
  await edited(page, () => clickAt(page, x, 70));
  await expect(page.locator('.ticket h2')).toHaveText('Door to Room 2');
  await take(page, 'opening:window');
  await edited(page, () => clickAt(page, 80, 8));
  await expect(page.locator('.ticket h2')).toHaveText('Window to outside');
  await page.locator('body').press('v');
  await edited(page, () => dragTo(page, [x, 40], [x + 24, 40]));
  await expect(page.locator('.list')).toContainText('14\'-0" x 10\'-0"');
  await clickAt(page, 60, 70);
  await page.locator('[data-dim="wall:room-1:0"]').click();
  await page.locator('.type-over input').fill("13'6");
  await edited(page, () => page.keyboard.press('Enter'));
  await expect(page.locator('.list')).toContainText('13\'-6" x 10\'-0"');
  for (let i = 0; i < 2; i++) await edited(page, () => page.keyboard.press('u'));
  await expect(page.locator('.list')).toContainText('12\'-0" x 10\'-0"');

  // By keyboard alone.
  await openNext(page, 'Second floor');
  const type = async (label, value) => {
    await page.getByLabel(label).first().focus();
    await page.keyboard.type(value);
  };
  await type('Name', 'Loft');
  await type('Size', '14 x 11');
  await edited(page, () => page.keyboard.press('Enter'));
  await type('Name', 'Store');
  await type('Size', "6'6 x 11");
  await edited(page, () => page.keyboard.press('Enter'));
  const wall = page.locator('.chips a', { hasText: 'east 11' });
  await page.locator('.list a', { hasText: 'Loft' }).focus();
  await page.keyboard.press('Enter');
  await wall.focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('.ticket h2')).toHaveText('Loft, east wall');
  const put = page.locator('form', { has: page.getByRole('button', { name: 'Put on the wall' }) });
  const choose = async (what, from) => {
    await put.locator('select[name=what]').focus();
    await page.keyboard.type(what);
    await put.getByLabel('From the left corner').focus();
    await page.keyboard.press('Control+A');
    await page.keyboard.type(from);
  };
  await put.getByLabel('Leads to').focus();
  await page.keyboard.type('Store');
  await choose('door', "3'");
  await edited(page, () => page.keyboard.press('Enter'));
  await expect(page.locator('.plan .leaf')).toHaveCount(1);
  await page.locator('.ticket a', { hasText: 'Store' }).first().focus();
  await page.keyboard.press('Enter');
  await page.locator('.chips a', { hasText: 'north' }).focus();
  await page.keyboard.press('Enter');
  await choose('window', "1'");
  await edited(page, () => page.keyboard.press('Enter'));
  await expect(page.locator('.plan .glass')).toHaveCount(2);
  await page.locator('.chips a, .list a', { hasText: 'Store' }).first().focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('.ticket h2')).toHaveText('Store');

  // From a drawing: the second floor goes out and comes in again as the third.
  const out = await (await page.request.get(`${house.url}/jobs/wren-house/files/plan.dxf?storey=second-floor`)).text();
  await openNext(page, 'Third floor');
  await page.locator('summary', { hasText: 'Import a drawing' }).click();
  await page.getByLabel('Drawing (ASCII DXF)').setInputFiles({ name: 'Third.dxf', mimeType: 'application/dxf', buffer: Buffer.from(out) });
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByLabel('ROOMS holds')).toHaveValue('rooms');
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(page.getByRole('region', { name: 'What was taken' })).toContainText('2 closed outlines');
  await expect(page.getByRole('region', { name: 'What was taken' })).toContainText('1 doors and 1 windows');
  await page.getByRole('link', { name: 'Open the plan' }).click();
  await expect(page.locator('.plan .floor')).toHaveCount(2);
  const again = await (await page.request.get(`${house.url}/jobs/wren-house/files/plan.dxf?storey=third-floor`)).text();
  expect(again).toBe(out);
});

test('a starter house, mirrored, copied, printed; a room split and joined again', async ({ page, house }) => {
  await page.goto(house.url);
  await page.getByLabel('Name').fill('Starling');
  await page.getByLabel('Begin with').selectOption({ label: 'a two-bedroom bungalow' });
  await page.getByRole('button', { name: 'Start the job' }).click();
  await expect(page.locator('.plan .floor')).toHaveCount(9);
  await page.locator('summary', { hasText: 'Whole house' }).click();
  await edited(page, () => page.getByRole('button', { name: 'Mirror east and west' }).click());
  await page.locator('.list a', { hasText: 'Bedroom 2' }).click();
  await page
    .locator('.ticket .chips a')
    .filter({ hasText: /^south 11/ })
    .first()
    .click();
  const split = page.locator('form', { has: page.getByRole('button', { name: 'Split' }) });
  await split.getByLabel('Partition at').fill("8'6");
  await split.getByLabel('New room').fill('Dressing room');
  await edited(page, () => split.getByRole('button', { name: 'Split' }).click());
  await expect(page.locator('.list')).toContainText('Dressing room');
  await page.locator('.list a', { hasText: 'Bedroom 2' }).click();
  await page.getByLabel('Beside it').selectOption({ label: 'Dressing room' });
  await page.getByRole('button', { name: 'Join the two' }).click();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(page.locator('.list')).not.toContainText('Dressing room');
  await page.getByRole('link', { name: 'Print the plan' }).click();
  await expect(page.locator('.plan-sheet .dim-text').first()).toBeVisible();
  const pdf = (await page.pdf({ format: 'Letter' })).toString('latin1');
  expect(pdf.match(/\/Type \/Page\b/g).length).toBeLessThanOrEqual(2);
});

test('a picture is laid under, scaled by two points and traced', async ({ page, house }) => {
  await start(page, house, 'Trace House');
  await page.locator('summary', { hasText: 'Picture to trace' }).click();
  await page.getByLabel('PNG, JPEG or PDF').setInputFiles({ name: 'x.png', mimeType: 'image/png', buffer: Buffer.from('not a picture') });
  await page.getByRole('button', { name: 'Lay it under the storey' }).click();
  await expect(page.getByRole('alert')).toContainText('not a PNG or JPEG');
  await page.locator('summary', { hasText: 'Picture to trace' }).click();
  await page.getByLabel('PNG, JPEG or PDF').setInputFiles('docs/screenshots/rooms.png');
  await page.getByRole('button', { name: 'Lay it under the storey' }).click();
  await expect(page.locator('.under')).toHaveAttribute('width', '480');
  await expect(page.locator('html')).toHaveAttribute('data-ready', '');
  await take(page, 'scale');
  await clickAt(page, 100, 100);
  await clickAt(page, 220, 100);
  await page.locator('.type-over input').fill("20'");
  await edited(page, () => page.keyboard.press('Enter'));
  await expect.poll(async () => Number(await page.locator('.under').getAttribute('width'))).toBeCloseTo(960, -1);
  await page.getByLabel('Strength, percent').fill('30');
  await edited(page, () => page.getByRole('button', { name: 'Dim' }).click());
  await expect(page.locator('.under')).toHaveAttribute('opacity', '0.3');
  await take(page, 'room');
  await edited(page, () => dragTo(page, [100, 100], [300, 250]));
  await edited(page, () => page.getByRole('button', { name: 'Undo draw room' }).click());
  await edited(page, () => page.getByRole('button', { name: 'Remove the picture' }).click());
  await expect(page.locator('.under')).toHaveCount(0);
});

visit(
  'a photograph of a plan is laid flat by its corners, and its rooms are taken by the names written in them',
  async ({ page, house, context }) => {
    const plan = await (await page.request.get(`${house.job}/files/plan.png?storey=first`)).body();
    const view = await viewOf(page, `${house.job}/rooms`);
    const table = await context.newPage();
    await table.setViewportSize({ width: 1600, height: 1200 });
    await table.goto(`${house.url}/help`);
    // The sheet lies at a slant; points where the corners of the main block, 31 by 30 feet, were drawn lie on it.
    const seen = await table.evaluate(
      async ([source, [left, top, wide, tall], corners]) => {
        const picture = Object.assign(new Image(), { src: `data:image/png;base64,${source}` });
        await picture.decode();
        const sheet = document.createElement('div');
        const points = corners.map(() => document.createElement('i'));
        sheet.append(picture, ...points);
        document.body.replaceChildren(sheet);
        Object.assign(document.body.style, { margin: '0', background: '#fff', perspective: '1500px' });
        Object.assign(picture.style, { width: '1150px', display: 'block' });
        Object.assign(sheet.style, {
          position: 'absolute',
          left: '220px',
          top: '120px',
          transform: 'rotateX(20deg) rotateY(-8deg) rotateZ(2deg)',
        });
        return corners.map(([x, y], i) => {
          Object.assign(points[i].style, {
            position: 'absolute',
            left: `${((x - left) / wide) * 100}%`,
            top: `${((y - top) / tall) * 100}%`,
          });
          const at = points[i].getBoundingClientRect();
          return [at.x / innerWidth, at.y / innerHeight];
        });
      },
      [
        plan.toString('base64'),
        view,
        [
          [0, 0],
          [372, 0],
          [372, 360],
          [0, 360],
        ],
      ],
    );
    const photograph = await table.screenshot({ type: 'jpeg', quality: 80 });
    await table.close();

    await page.goto(`${house.job}/rooms`);
    await page.locator('summary', { hasText: 'Add a storey' }).click();
    const form = page.locator('form', { has: page.getByRole('button', { name: 'Add storey' }) });
    await form.getByLabel('Name').fill('Copy');
    await form.getByLabel('Floor over the first').fill("30'");
    await edited(page, () => page.getByRole('button', { name: 'Add storey' }).click());
    await page.locator('summary', { hasText: 'Picture to trace' }).click();
    await page.getByLabel('PNG, JPEG or PDF').setInputFiles({ name: 'plan.jpg', mimeType: 'image/jpeg', buffer: photograph });
    await page.getByRole('button', { name: 'Lay it under the storey' }).click();
    await expect(page.locator('html')).toHaveAttribute('data-ready', '');
    await take(page, 'corners');
    const paper = await page.locator('.under').boundingBox();
    for (const [x, y] of seen) await page.mouse.click(paper.x + x * paper.width, paper.y + y * paper.height);
    await page.locator('.type-over input').fill('31 by 30');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert')).toContainText('no width x depth');
    await take(page, 'corners');
    for (const [x, y] of seen) await page.mouse.click(paper.x + x * paper.width, paper.y + y * paper.height);
    await page.locator('.type-over input').fill('31 x 30');
    await edited(page, () => page.keyboard.press('Enter'));

    await page.getByRole('button', { name: 'Find rooms in the picture' }).click();
    const rooms = page.locator('.read-room');
    await expect(rooms.first()).toBeVisible();
    expect(await rooms.count()).toBeGreaterThanOrEqual(6);
    // The living room is 17'3 3/4 by 16'3 3/4.
    const living = rooms.filter({ hasText: /17'-[2-6].* x 16'-[2-6]/ });
    await expect(living.locator('svg')).toBeVisible();
    await living.getByLabel('Name').fill('Living room');
    await edited(page, () => page.getByRole('button', { name: 'Take the ticked rooms' }).click());
    await expect(page.locator('.side').getByRole('link', { name: /^Living room 2/ })).toBeVisible();
  },
);

// What part of the plan the picture of it shows.
async function viewOf(page, address) {
  const svg = await (await page.request.get(address.replace('/rooms', '/files/plan.svg?storey=first'))).text();
  return svg
    .match(/viewBox="([^"]+)"/)[1]
    .split(' ')
    .map(Number);
}

test('a page of a PDF is laid under, one that is none is told', async ({ page, house }) => {
  await start(page, house, 'Paper House');
  await page.locator('summary', { hasText: 'Picture to trace' }).click();
  const file = page.getByLabel('PNG, JPEG or PDF');
  await file.setInputFiles({ name: 'x.pdf', mimeType: 'application/pdf', buffer: Buffer.from('not a PDF') });
  await expect(page.getByText('This PDF cannot be read.')).toBeVisible();
  const job = page.url().replace(/\/rooms.*/, '');
  const paper = await (await page.request.get(`${job}/files/load.pdf`)).body();
  await file.setInputFiles({ name: 'x.pdf', mimeType: 'application/pdf', buffer: paper });
  await expect(page.getByText(/Page 1 of \d+ is ready/)).toBeVisible();
  await page.getByRole('button', { name: 'Lay it under the storey' }).click();
  await expect(page.locator('.under')).toHaveAttribute('width', '480');
});
