// The panel by hand: a breaker is moved, the panel shrinks, a sub-panel is added upstairs, a car charger comes; each tells what it brings.
import { visit as test, expect } from './house.mjs';
import { edited } from './hand.mjs';

const plan = (page, house) => page.goto(`${house.job}/circuits`);

const panel = (page, house, pick = '') => page.goto(`${house.job}/panel?pick=${pick}`);
const brought = page => page.locator('.consequences').first();
const spaceOf = async (page, number) => page.locator(`.space[data-pick="circuit:${number}"]`).getAttribute('data-space');

test('a breaker is dragged to a spare space and stays there; a panel with 30 and 24 spaces keeps what fits and says what it has left', async ({
  page,
  house,
}) => {
  await plan(page, house);
  await panel(page, house);
  await page.setViewportSize({ width: 1280, height: 1400 });
  const one = page.locator('.space[data-pick="circuit:16"]'),
    free = page.locator('.space:not([data-pick])').last();
  const to = await free.getAttribute('data-space');
  const from = await one.locator('.breaker').boundingBox(),
    b = await free.locator('.spare').boundingBox();
  await page.mouse.move(from.x + 8, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + 28, from.y + from.height / 2 + 10, { steps: 2 });
  await page.mouse.move(b.x + b.width / 2, b.y + b.height / 2, { steps: 4 });
  await edited(page, () => page.mouse.up());
  expect(await spaceOf(page, 16)).toBe(to);
  await expect(brought(page)).toContainText('In another space: circuit 16');
  await edited(page, () => page.getByRole('button', { name: 'Lay out afresh' }).click());
  expect(await spaceOf(page, 16)).toBe(to);

  // Fewer spaces: what fits stays, what does not is told.
  const ticket = page.locator('.ticket');
  await ticket.getByLabel('Spaces').fill('30');
  await edited(page, () => ticket.getByRole('button', { name: 'Save' }).click());
  await expect(brought(page)).toContainText(/Free spaces of .*: 7 to 0/);
  await expect(brought(page)).toContainText(/In another space: circuit \d+/);
  await expect(page.locator('.panel-drawing')).toHaveAttribute('aria-label', /30 spaces/);
  await ticket.getByLabel('Spaces').fill('24');
  await edited(page, () => ticket.getByRole('button', { name: 'Save' }).click());
  await expect(brought(page)).toContainText('Without a space in the panel');
});

test('a sub-panel upstairs takes a feeder and the circuits that are near it', async ({ page, house }) => {
  await plan(page, house);
  await page.goto(`${house.job}/rooms?pick=wall:sitting:0&storey=second`);
  const put = page.locator('form', { has: page.locator('select[name=what]') }).first();
  await put.locator('select[name=what]').selectOption('sub-panel');
  await put.locator('input[name=from]').fill("2'");
  await edited(page, () => put.getByRole('button', { name: 'Put on the wall' }).click());
  await panel(page, house, 'panel:sub');
  await expect(brought(page)).toContainText(/a feeder of 60 A, 6-3 cable, \d+ ft/);
  await expect(page.locator('.ticket')).toContainText('Main panel');
  await edited(page, () => page.getByRole('button', { name: 'Lay out afresh' }).click());
  await expect(brought(page)).toContainText('out of another panel, home run');
  await expect(page.locator('.space[data-pick^="circuit:"]')).not.toHaveCount(0);
  const number = (await page.locator('.space[data-pick^="circuit:"]').first().getAttribute('data-pick')).split(':')[1];
  await panel(page, house, `circuit:${number}`);
  await page.locator('.ticket select[name=panel]').selectOption('main');
  await edited(page, () => page.getByRole('button', { name: 'Move there' }).click());
  await expect(brought(page)).toContainText(`Circuit ${number}`);
  await panel(page, house);
  await expect(page.locator('.space[data-pick="panel:sub"]')).toContainText('Feeder to Sitting nook panel');
  await panel(page, house, 'panel:sub');
  await edited(page, () => page.getByRole('button', { name: 'Take it away' }).click());
  await expect(page.locator('.space[data-pick="panel:sub"]')).toHaveCount(0);
});

test('a second car charger takes spaces, raises the service load and is found too much for the service', async ({ page, house }) => {
  await plan(page, house);
  const load = async () => Number((await page.locator('.strip').innerText()).match(/([\d.]+)\s*A of/)[1]);
  const before = await load();
  await page.goto(`${house.job}/rooms?pick=wall:garage:1`);
  const put = page.locator('form', { has: page.locator('select[name=what]') }).first();
  await put.locator('select[name=what]').selectOption('appliance:ev-charger');
  await put.locator('input[name=from]').fill("4'");
  await put.locator('input[name=width]').fill("1'");
  await edited(page, () => put.getByRole('button', { name: 'Put on the wall' }).click());
  expect(await load()).toBeCloseTo(before + (9600 * 0.4) / 240, 0);
  await page.goto(`${house.job}/boxes`);
  await edited(page, () => page.getByRole('button', { name: 'Propose boxes for the house' }).click());
  await page.goto(`${house.job}/circuits`);
  await edited(page, () => page.getByRole('button', { name: 'Plan circuits' }).click());
  await panel(page, house);
  await expect(brought(page)).toContainText(/new, 8-2 on 40 A|new, 6-2 on 50 A/);
  await expect(brought(page)).toContainText(/Free spaces of .*: 7 to 5/);
});

test('two breakers share a space where the label allows it; labels are written together; the make-up and the card follow', async ({
  page,
  house,
}) => {
  await plan(page, house);
  await panel(page, house, 'panel:main');
  const ticket = page.locator('.ticket');
  await ticket.getByLabel('Tandems fit in').fill('19-40');
  await edited(page, () => ticket.getByRole('button', { name: 'Save', exact: true }).click());
  await expect(ticket).toContainText('62 branch breakers at most');
  const plain = await page
    .locator('.space[data-pick^="circuit:"]')
    .evaluateAll(all =>
      all
        .filter(g => !/AF|GF/.test(g.textContent) && g.querySelector('.breaker').getBBox().height < 40)
        .map(g => [g.dataset.pick.slice(8), g.dataset.space]),
    );
  const [moved] = plain[0],
    [beside, at] = plain.find(([, space]) => Number(space) >= 19 && space !== plain[0][1]);
  await panel(page, house, `circuit:${moved}`);
  await ticket.getByLabel('Space', { exact: true }).fill(`${at}B`);
  await edited(page, () => ticket.getByRole('button', { name: 'Move breaker' }).click());
  expect(await spaceOf(page, moved)).toBe(`${at}B`);
  expect(await spaceOf(page, beside)).toBe(`${at}A`);
  await expect(brought(page)).toContainText('In another space');

  await page.getByRole('link', { name: 'Labels and directory' }).click();
  await page.getByLabel(`Label of circuit ${moved}`, { exact: true }).fill('Lights');
  await page.getByRole('button', { name: 'Save the labels' }).click();
  await expect(page.locator(`#wrong-${moved}`)).toContainText('neither what nor where');
  await page.getByLabel(`Label of circuit ${moved}`, { exact: true }).fill('Workbench by the north window');
  await page.getByRole('button', { name: 'Save the labels' }).click();
  await expect(page.locator('[aria-invalid]')).toHaveCount(0);
  await expect(page.locator('.card-svg').first()).toContainText('Workbench');
  await page.goto(`${house.job}/make-up`);
  await expect(page.locator('.make-up-svg')).toContainText(`${at}B  Workbench by the north window`);
  await page.setViewportSize({ width: 390, height: 800 });
  for (const paper of ['make-up', 'labels', 'stickers', 'load-sheet', 'print', 'issued', 'rough-test']) {
    await page.goto(`${house.job}/${paper}`);
    expect(await page.evaluate(() => document.documentElement.scrollWidth), paper).toBeLessThanOrEqual(390);
  }
});
