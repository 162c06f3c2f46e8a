// Who may look, and for how long.
import { test, expect } from '@playwright/test';
import { readsWell } from './hand.mjs';
import { reached } from './house.mjs';
import { helperBy } from './people.mjs';

const phone = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, ignoreHTTPSErrors: true };

test('a guest looks at one house by a link, changes nothing, and is out when the link ends', async ({ browser }) => {
  const house = await reached();
  const contexts = [await browser.newContext(), await browser.newContext(phone)];
  try {
    const [owner, guest] = await Promise.all(contexts.map(c => c.newPage()));
    await helperBy(owner, house);
    const form = owner.locator('form', { has: owner.getByRole('button', { name: 'Make a link' }) });
    await form.locator('[name="who"]').fill('Gil Guest');
    await form.locator('[name="job"]').selectOption({ label: 'Tamarack Row, planned' });
    await form.locator('[name="days"]').fill('2');
    await form.getByRole('button').click();
    const link = await owner.locator('.pairing code').textContent();
    await readsWell(owner);
    const row = owner.locator('tr', { hasText: 'Gil Guest' });
    await expect(row).toContainText('look at one job');

    await guest.goto(link);
    await guest.getByRole('button', { name: 'Look at it' }).click();
    await expect(guest.locator('h1')).toHaveText('Tamarack Row, planned');
    await readsWell(guest);
    await guest.locator('a', { hasText: 'The plan with its circuits' }).click();
    await expect(guest.locator('.field-plan svg').first()).toBeVisible();
    await guest.locator('a', { hasText: 'Back' }).first().click();
    await expect(guest).toHaveURL(/\/look$/);
    await guest.goto(`${house.secure}/jobs/tamarack-row--planned/circuits`);
    await expect(guest.locator('body')).toContainText('You may not do that');

    // The owner ends it.
    await row.getByRole('button', { name: 'Remove' }).click();
    await expect(owner.locator('tr', { hasText: 'Gil Guest' })).toHaveCount(0);
    await guest.goto(`${house.secure}/jobs/tamarack-row--planned/look`);
    await expect(guest).toHaveURL(/\/sign-in/);
    await guest.goto(link);
    await expect(guest.locator('h2')).toHaveText('This link has ended');
  } finally {
    for (const context of contexts) await context.close();
    house.end();
  }
});
