// Runs by hand: a cable is led elsewhere and priced, a run is locked, a pull is ticked off, a wall is closed, the panel moves.
import { visit as test, expect } from './house.mjs';
import { edited } from './hand.mjs';

const plan = (page, house) => page.goto(`${house.job}/runs`);

const pick = (page, house, what) => page.goto(`${house.job}/runs?pick=${what}`);
const ticket = page => page.locator('.ticket');
const cables = page => page.locator('.run-line title').allTextContents();

async function hold(page, from, to) {
  const a = await from.boundingBox(),
    b = await to.boundingBox();
  await page.mouse.move(a.x + a.width / 2, a.y + a.height / 2);
  await page.mouse.down();
  await page.mouse.move(a.x + a.width / 2 + 12, a.y + a.height / 2 + 12, { steps: 2 });
  await page.mouse.move(b.x + b.width / 2, b.y + b.height / 2, { steps: 4 });
}

test('a home run is dragged another way: the card prices it on the way, the ticket after it, and it goes back', async ({ page, house }) => {
  await plan(page, house);
  await pick(page, house, 'run:kitchen.r4');
  await expect(ticket(page)).toContainText('The shortest way.');
  const line = page.locator('.run-line.picked .way'),
    before = await line.getAttribute('d');
  await hold(page, page.locator('.run-handle'), page.locator('.floor[data-pick="room:office"]'));
  await expect(page.locator('.drag-card')).toContainText(/[\d.]+ ft, \+[\d.]+ ft against the shortest way/);
  await expect(page.locator('.led-preview')).toHaveAttribute('d', /^M/);
  await edited(page, () => page.mouse.up());
  await expect(ticket(page)).toContainText('Led by a person.');
  await expect(ticket(page)).toContainText(/\+[\d.]+ ft against the shortest way, about \$\d+/);
  expect(await line.getAttribute('d')).not.toBe(before);
  await page.reload();
  await expect(ticket(page)).toContainText('Led by a person.');
  await edited(page, () => ticket(page).getByRole('button', { name: 'Shortest way' }).click());
  expect(await line.getAttribute('d')).toBe(before);
  await edited(page, () => page.keyboard.press('u'));
  await expect(ticket(page)).toContainText('Led by a person.');

  // Escape lets go without a change.
  const led = await line.getAttribute('d');
  await hold(page, page.locator('.run-handle'), page.locator('.floor[data-pick="room:garage"]'));
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await expect(page.locator('.drag-card')).toHaveCount(0);
  expect(await line.getAttribute('d')).toBe(led);
});

test('a locked run keeps its cables when the panel moves; the move tells feet and money', async ({ page, house }) => {
  await plan(page, house);
  const number = await page.locator('.plan [data-box="living.r1"]').getAttribute('data-circuit-of');
  await pick(page, house, `circuit:${number}`);
  await edited(page, () => ticket(page).getByRole('button', { name: 'Lock the run' }).click());
  await expect(page.locator('.run-rows tr.picked')).toContainText('locked');
  const between = list => list.filter(t => !t.includes('the panel')).sort();
  const before = between(await cables(page));
  expect(before.length).toBeGreaterThan(2);
  await page.goto(`${house.job}/runs`);
  const feet = await page.locator('.strip').innerText();
  await hold(page, page.locator('[data-drag^="panel:"]'), page.locator('.floor[data-pick="room:garage"]'));
  await edited(page, () => page.mouse.up());
  expect(await page.locator('.strip').innerText()).not.toBe(feet);
  await expect(page.locator('.consequences')).toContainText(/ft/);
  await expect(page.locator('.consequences')).toContainText(/\$\d/);
  await pick(page, house, `circuit:${number}`);
  expect(between(await cables(page))).toEqual(before);
  await edited(page, () => ticket(page).getByRole('button', { name: 'Unlock the run' }).click());
});

test('a pull is ticked off with what it took, in Runs and on the sheet', async ({ page, house }) => {
  await plan(page, house);
  await pick(page, house, 'run:kitchen.r4');
  await ticket(page).getByLabel('Took').fill("52'");
  await edited(page, () => ticket(page).getByRole('button', { name: 'Pulled' }).click());
  await expect(ticket(page)).toContainText(/took 52 ft, [+-][\d.]+ ft against the plan/);
  await expect(page.locator('.run-rows tr.picked')).toContainText('pulled');
  await expect(page.locator('.stages')).toContainText('1 of 27 pulled');

  // What is in the frame is not led elsewhere.
  await expect(ticket(page).getByRole('button', { name: 'Lead' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Pull sheet' }).click();
  await expect(page.locator('.pulls li.done')).toContainText('took 52 ft');
  await expect(page.locator('main')).toContainText('1 of 27 pulled');
});

test('a wall is closed to cable and what ran through its studs goes elsewhere', async ({ page, house }) => {
  await plan(page, house);
  const hop = await page.evaluate(async job => {
    for (const line of document.querySelectorAll('.run-line[data-from]')) {
      const html = await (await fetch(`${job}/runs?pick=${encodeURIComponent(line.dataset.pick)}`)).text();
      if (html.includes('Through the studs of')) return line.dataset.pick;
    }
  }, house.job);
  await pick(page, house, hop);
  const wall = await ticket(page).locator('.through a').first().innerText();
  await expect(ticket(page).locator('.facts')).toContainText('through the studs');
  await edited(page, () => ticket(page).getByRole('button', { name: 'Keep cable out' }).first().click());
  await expect(page.locator('.chips')).toContainText(wall);
  await expect(page.locator('.consequences')).toContainText('ft');
  await expect(ticket(page).locator('.through a').filter({ hasText: wall })).toHaveCount(0);
});
