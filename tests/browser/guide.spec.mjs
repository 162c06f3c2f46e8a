// What is told before it is done, several rooms at once, a closet drawn in a room, the walk with the owner, help where one looks for it.
import { visit as test, expect } from './house.mjs';

test('what an exchange would bring is told, nothing is changed by asking, and then it is so', async ({ page, house }) => {
  await page.goto(`${house.job}/rooms`);
  const stamp = await page.locator('#work').getAttribute('data-stamp');
  await page.goto(`${house.job}/rooms?pick=appliance:range`);
  const form = page.locator('form:has([name="do"][value="exchange"])');
  await form.locator('[name="type"]').selectOption('cooktop');
  await form.getByRole('button', { name: 'What it changes' }).click();
  await expect(form.locator('.would')).not.toBeEmpty();
  await expect(page.locator('#work')).toHaveAttribute('data-stamp', stamp);
  await form.getByRole('button', { name: 'Exchange', exact: true }).click();
  await expect(page.locator('#work')).not.toHaveAttribute('data-stamp', stamp);
  await expect(page.locator('.ticket h2').first()).toHaveText('Electric cooktop');
});

test('several rooms are ticked and changed in one edit', async ({ page, house }) => {
  await page.goto(`${house.job}/rooms`);
  await page.getByRole('checkbox', { name: 'Tick Kitchen' }).check();
  await page.getByRole('checkbox', { name: 'Tick Pantry' }).check();
  await page.getByText('Several rooms at once').click();
  const form = page.locator('#several');
  await form.locator('[name="ceiling"]').fill("10'");
  await form.getByRole('button', { name: 'Change the ticked rooms' }).click();
  await expect(page.locator('#work')).toHaveAttribute('data-stamp', '2');
  const rooms = (await (await page.request.get(`${house.job}/files/job.json`)).json()).rooms;
  expect(rooms.filter(r => r.ceilingHeight === "10'0").map(r => r.id)).toEqual(['kitchen', 'pantry']);
});

test('a rectangle drawn along a wall inside of a room is a closet of it, with its door', async ({ page, house }) => {
  await page.goto(`${house.job}/rooms`);
  await expect(page.locator('html[data-ready]')).toBeAttached();
  await page.keyboard.press('w');
  const floor = page.locator('.floor[data-pick="room:garage"]');
  const { x, y, width, height } = await floor.boundingBox();
  await page.mouse.move(x + width - 2, y + height * 0.3);
  await page.mouse.down();
  await page.mouse.move(x + width * 0.9, y + height * 0.5, { steps: 4 });
  await page.mouse.move(x + width * 0.8, y + height * 0.55, { steps: 4 });
  await page.mouse.up();
  await expect(page.locator('.ticket h2').first()).toHaveText('Garage closet');
});

test('the house is walked room by room, and the owner’s page has the wish on it', async ({ page, house }) => {
  await page.goto(`${house.job}/rooms`);
  await page.getByRole('link', { name: /Walk the house/ }).click();
  const ticket = page.locator('.ticket.walk');
  const first = await ticket.locator('h2').textContent();
  await ticket.locator('[rel="next"]').click();
  await expect(ticket.locator('h2')).not.toHaveText(first);
  await ticket.locator('[name="kind"]').selectOption('Television');
  await ticket.locator('[name="note"]').fill('over the fire');
  await ticket.getByRole('button', { name: 'Add the wish' }).click();
  await expect(ticket.locator('.wishes li')).toContainText('over the fire');
  await page.getByRole('link', { name: 'The page for the owner to sign' }).click();
  await expect(page.locator('main')).toContainText('over the fire');
});

test('a preference is found by its words, and each word of the trade tells what it means', async ({ page, house }) => {
  await page.goto(`${house.job}/job`);
  await page.locator('[data-find-preference]').fill('neutral');
  const found = page.locator('#preferences .group label:visible');
  await expect(page.locator('[data-found]')).toHaveText(`${await found.count()} found`);
  for (const text of await found.allTextContents()) expect(text.toLowerCase()).toContain('neutral');
  await page.locator('[data-find-preference]').fill('zeppelin');
  await expect(page.locator('[data-found]')).toHaveText('None has these words.');

  await page.goto(`${house.job}/rooms?pick=appliance:range`);
  await page.locator('.term').first().click();
  await expect(page.locator('#why')).toContainText('volts and amperes');
});

test('the walk for newcomers leads through the stages, goes back, and ends for good', async ({ page, house }) => {
  await page.goto(`${house.job}/rooms?walk=1`);
  const card = page.locator('.tour');
  const next = card.getByRole('button', { name: 'Next' });
  await expect(card).toContainText('1 of 8');
  for (let n = 2; n <= 8; n++) {
    await next.click();
    await expect(card).toContainText(`${n} of 8`);
    await expect(page.locator('.toured')).toBeVisible();
  }
  await card.getByRole('button', { name: 'Back' }).click();
  await expect(card).toContainText('7 of 8');
  await page.keyboard.press('Escape');
  await expect(card).toHaveCount(0);
  await page.reload();
  await expect(card).toHaveCount(0);
});
