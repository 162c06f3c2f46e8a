// What was done to a job: looked through, compared, returned to.
import { expect } from '@playwright/test';
import { readsWell } from './hand.mjs';
import { visit as test } from './house.mjs';

test('a box taken out is found in the history, compared on the plan, and brought back', async ({ page, house }) => {
  await page.goto(`${house.job}/boxes?pick=box:kitchen.r1`);
  await expect(page.locator('html[data-ready]')).toBeAttached();
  const done = page.waitForResponse(r => r.request().method() === 'POST');
  await page.locator('button[data-do="remove-box"]').first().click();
  await done;
  await page.locator('a.saved').click();
  await expect(page).toHaveURL(/\/history$/);
  const now = page.locator('tr.now');
  await expect(now).toContainText('remove box: kitchen.r1');
  await readsWell(page, { alike: true });

  await page.getByRole('button', { name: 'Compare the two' }).click();
  await expect(page.locator('.consequences')).toContainText('Box kitchen.r1: gone');

  await page.locator('tr', { hasText: 'remove box' }).locator('[name="name"]').fill('without <i>the</i> box');
  await page.locator('tr', { hasText: 'remove box' }).getByRole('button', { name: 'Name' }).click();
  await expect(page.locator('tr', { hasText: 'remove box' }).locator('[name="name"]')).toHaveValue('without <i>the</i> box');

  await page.getByRole('button', { name: 'Return to state 1' }).click();
  await expect(page.locator('tr.now')).toContainText('returned to state 1');
  await page.goto(`${house.job}/boxes?pick=box:kitchen.r1`);
  await expect(page.locator('button[data-do="remove-box"]').first()).toBeVisible();
  // The way back has a way back.
  const undone = page.waitForResponse(r => r.request().method() === 'POST');
  await page.getByRole('button', { name: /^Undo/ }).first().click();
  await undone;
  await page.goto(`${house.job}/history`);
  await expect(page.locator('tr.now')).toContainText('remove box: kitchen.r1');
  await expect(page.locator('tr', { hasText: 'returned to state 1' })).toContainText('undone by the desk');

  // A phone: every name can be typed, nothing stands beside the page.
  await page.setViewportSize({ width: 390, height: 844 });
  await readsWell(page, { alike: true });
  for (const field of await page.locator('.states [name="name"]').all()) {
    const { x, width } = await field.boundingBox();
    expect(x + width).toBeLessThanOrEqual(390);
  }
});
