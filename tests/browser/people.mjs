// An owner and a helper of a program that others reach.
import { expect } from '@playwright/test';

// The owner comes in at the desk, adds a helper, and shows a code for the helper's phone: its address.
export async function helperBy(page, house) {
  await page.goto(`${house.url}/`);
  await expect(page).toHaveURL(/sign-in/);
  await page.locator('[name="who"]').fill('Olga Owner');
  await page.locator('[name="password"]').fill('a long enough sentence');
  await page.getByRole('button', { name: 'Make the account' }).click();
  await page.goto(`${house.url}/people`);
  await page
    .locator('form', { has: page.getByRole('button', { name: 'Add' }) })
    .locator('[name="who"]')
    .fill('Hal Helper');
  await page.getByRole('button', { name: 'Add' }).click();
  await page.locator('tr', { hasText: 'Hal Helper' }).getByRole('button', { name: 'Code for a phone' }).click();
  await expect(page.locator('.qr svg')).toBeVisible();
  return await page.locator('.pairing code').textContent();
}

// The phone comes in by the code, once.
export async function pair(page, address) {
  await page.goto(address);
  await page.getByRole('button', { name: 'Pair this phone' }).click();
  await expect(page).toHaveURL(/\/field$/);
}
