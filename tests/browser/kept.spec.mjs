// Nothing lost: backups, a job as one file, deleting and the way back.
import { expect } from '@playwright/test';
import { readsWell } from './hand.mjs';
import { visit as test } from './house.mjs';

const card = (page, name) => page.locator('.job-card').filter({ has: page.locator('h2', { hasText: name }) });

test('a backup is made, tells what differs, and gives a job back that was deleted for good', async ({ page, house }) => {
  await page.goto(`${house.url}/backups`);
  await expect(page.locator('main')).toContainText('No backup yet');
  await page.getByRole('button', { name: 'Back up now' }).click();
  await expect(page.getByRole('status')).toContainText('opened and is whole');
  await readsWell(page);

  // The job is archived, then deleted for good; not by a slip.
  const id = house.job.split('/').at(-1);
  await page.goto(`${house.url}/`);
  const name = await page.locator(`[data-card="${id}"] h2`).textContent();
  await page
    .locator(`[data-card="${id}"]`)
    .getByRole('button', { name: /^Archive/ })
    .click();
  await page.locator('.archived > summary').click();
  await expect(page.locator('.archived[open]')).toBeAttached();
  const row = page.locator('.archived > ul > li', { hasText: name });
  await row.getByText('Delete for good').first().click();
  await row.locator('[name="name"]').fill('another');
  await row.getByRole('button', { name: 'Delete for good' }).click();
  await expect(page.getByRole('alert')).toContainText('Type the name of the job');
  // It stands open where it was.
  await row.locator('[name="name"]').fill(name);
  await row.getByRole('button', { name: 'Delete for good' }).click();
  await expect(page.locator(`[data-card="${id}"]`)).toHaveCount(0);

  await page.goto(`${house.url}/backups`);
  await page.locator('a', { hasText: 'What differs' }).first().click();
  const gone = page.locator('tr', { hasText: 'only in the backup' });
  await expect(gone).toContainText(name);
  await readsWell(page);
  await gone.getByRole('button').click();
  await expect(page).toHaveURL(/\/rooms/);
  await page.goto(`${house.url}/`);
  await expect(card(page, name).first()).toBeVisible();
});

test('a job is saved as one file and taken in again with its history', async ({ page, house }) => {
  await page.goto(`${house.job}/boxes?pick=box:kitchen.r1`);
  await expect(page.locator('html[data-ready]')).toBeAttached();
  const done = page.waitForResponse(r => r.request().method() === 'POST');
  await page.locator('button[data-do="remove-box"]').first().click();
  await done;
  await page.goto(`${house.job}/history`);
  const saving = page.waitForEvent('download');
  await page.locator('a', { hasText: 'as one file' }).click();
  const file = await (await saving).path();
  await page.goto(`${house.url}/`);
  const chooser = page.locator('input[type="file"][name="file"]');
  await chooser.setInputFiles({ name: 'job.zip', mimeType: 'application/zip', buffer: (await import('node:fs')).readFileSync(file) });
  await page.getByRole('button', { name: 'Import' }).click();
  await expect(page).toHaveURL(/\/rooms/);
  await page.goto(page.url().replace(/\/rooms.*/, '/history'));
  await expect(page.locator('tr.now')).toContainText('remove box: kitchen.r1');
});
