// Two people at one job: who is here, what the other does, and edits that touch nothing of each other.
import { expect } from '@playwright/test';
import { visit as test } from './house.mjs';

const ready = page => expect(page.locator('html[data-ready]')).toBeAttached();
const stamp = page => page.locator('#work').getAttribute('data-stamp').then(Number);
const remove = page => page.locator('button[data-do="remove-box"]').first();

async function open(browser, house, pick) {
  const context = await browser.newContext();
  const page = await context.newPage();
  await page.goto(`${house.job}/boxes?pick=${pick}`);
  await ready(page);
  return page;
}

test('each sees the other and what the other does; what lies apart is taken, what does not is told', async ({ browser, house }) => {
  const one = await open(browser, house, 'box:kitchen.r1');
  const two = await open(browser, house, 'box:living.r1');
  await expect(one.locator('[data-here]')).toContainText('Open in 2 windows');
  const before = await stamp(two);

  // The list and the plan of the other follow by themselves.
  await remove(one).click();
  await expect(two.locator('#work')).toHaveAttribute('data-stamp', String(before + 1));
  await expect(two.locator('.plan [data-box="kitchen.r1"]')).toHaveCount(0);

  // An edit against the older state, in another room, is taken all the same: the page does not hear of the other's in time.
  await two.route('**/follow', route => route.abort());
  await two.goto(`${house.job}/boxes?pick=box:living.r1`);
  await ready(two);
  await one.goto(`${house.job}/boxes?pick=box:kitchen.r2`);
  await ready(one);
  await remove(one).click();
  await expect(one.locator('#work')).toHaveAttribute('data-stamp', String(before + 2));
  expect(await stamp(two)).toBe(before + 1);
  await remove(two).click();
  await expect(two.locator('#work')).toHaveAttribute('data-stamp', String(before + 3));
  await expect(two.locator('.plan [data-box="kitchen.r2"]')).toHaveCount(0);
  await expect(two.locator('.plan [data-box="living.r1"]')).toHaveCount(0);
  await expect(two.getByRole('alert')).toHaveCount(0);

  // The same box twice is told, with who did what.
  await two.goto(`${house.job}/boxes?pick=box:living.r2`);
  await ready(two);
  await one.goto(`${house.job}/boxes?pick=box:living.r2`);
  await ready(one);
  await remove(one).click();
  await expect(one.locator('#work')).toHaveAttribute('data-stamp', String(before + 4));
  await two.locator('button[data-do="accept-box"]').first().click();
  await expect(two.getByRole('alert')).toContainText('was changed meanwhile');
  await expect(two.getByRole('alert')).toContainText('remove box, living.r2');

  // What is said in the house stands on the desk's page by itself.
  const phone = await one.context().newPage();
  const wrong = two.getByRole('heading', { name: 'From the house' });
  await two.unroute('**/follow');
  await two.goto(`${house.job}/findings`);
  await ready(two);
  await expect(two.locator('[data-here]')).not.toHaveText('');
  await expect(wrong).toHaveCount(0);
  await phone.goto(`${house.job}/field/kitchen`);
  await ready(phone);
  const task = phone.locator('[data-tasks="Set"] [data-task]').first();
  await task.locator('.more summary').click();
  await task.locator('textarea').fill('The stud is split.');
  await task.getByRole('button', { name: 'Something is wrong' }).click();
  await expect(wrong).toBeVisible();
  await expect(two.locator('main')).toContainText('The stud is split.');

  // Who leaves is not here any more.
  await one.context().close();
  await two.context().close();
  const three = await open(browser, house, '');
  await expect(three.locator('[data-here]')).toHaveText('');
  await three.context().close();
});

test('what was typed into an edit that was not made stands in its form again', async ({ browser, house }) => {
  const one = await open(browser, house, '');
  const two = await open(browser, house, '');
  await two.route('**/follow', route => route.abort());
  for (const page of [one, two]) {
    await page.goto(`${house.job}/rooms?pick=room:kitchen`);
    await ready(page);
  }
  const form = page => page.locator('.side form', { has: page.locator('[name="ceiling"]') }).first();
  await form(one).locator('[name="ceiling"]').fill(`9'6`);
  await form(one).getByRole('button', { name: 'Save' }).click();
  await expect(one.locator('#work')).not.toHaveAttribute('data-stamp', String(await stamp(two)));
  await form(two).locator('[name="name"]').fill('Galley');
  await form(two).getByRole('button', { name: 'Save' }).click();
  await expect(two.getByRole('alert')).toContainText('edit room, kitchen');
  await expect(form(two).locator('[name="name"]')).toHaveValue('Galley');
  // Seen and pressed again, it is made.
  await form(two).locator('[name="ceiling"]').fill(`9'6`);
  await form(two).getByRole('button', { name: 'Save' }).click();
  await expect(two.getByRole('alert')).toHaveCount(0);
  await expect(two.locator('.side h2').first()).toContainText('Galley');
  await one.context().close();
  await two.context().close();
});

test('what one has begun to type stays when the other changes something', async ({ browser, house }) => {
  const one = await open(browser, house, 'box:kitchen.r1');
  const two = await open(browser, house, 'box:living.r1');
  const field = two.locator('#work [name="note"], #work input[type="text"]:visible, #work input:not([type]):visible').first();
  await field.fill('half a word');
  await remove(one).click();
  await expect(two.getByRole('alert')).toContainText('changed this job: remove box: kitchen.r1');
  await expect(field).toHaveValue('half a word');
  await two.getByRole('button', { name: 'Show it' }).click();
  await expect(two.locator('.plan [data-box="kitchen.r1"]')).toHaveCount(0);
  await one.context().close();
  await two.context().close();
});
