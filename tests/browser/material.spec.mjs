// From the takeoff to what a change costs: counted, priced by a list of one's own, cut from an open reel, ordered, out of stock, come in
// part, changed after the order, and told to the owner.
import { visit as test, expect } from './house.mjs';
import { edited } from './hand.mjs';

const list = `key,text,unit,price,number,date
switch.3-way,three-way switch,each,4.10,Q-31,2026-11-20
plate.1.duplex,plate,each,"0,55",Q-40,2026-11-20
cable.12-2,12-2,250 ft,133.00,Q-12,2026-11-20
`;

async function counter(page, house, mood, missing = '') {
  await page.goto(`${house.url}/prices`);
  await page.locator('select[name=mood]').selectOption({ label: mood });
  await page.getByLabel('Out of stock').fill(missing);
  await Promise.all([page.waitForResponse(r => r.request().method() === 'POST'), page.getByRole('button', { name: 'Keep' }).click()]);
  await expect(page.getByLabel('Out of stock')).toHaveValue(missing);
}

test('the order list falls out of the plan, and a change after the order has its price', async ({ page, house }) => {
  await page.goto(`${house.job}/material`);
  await expect(page.locator('.takeoff h2')).toHaveText(['Service', 'Rough-in', 'Trim']);
  await expect(page.locator('.stages a[aria-current]')).toContainText('counted');
  const ways = page.getByRole('row', { name: /three-way switch/ });
  const needed = Number(await ways.locator('td.num').first().innerText());
  expect(needed).toBeGreaterThan(2);
  await ways.getByRole('link').click();
  await expect(page.locator('.ticket')).toContainText(`${needed}, trim`);
  await page.locator('[data-why="material.Trim.switch.3-way"]').click();
  await expect(page.locator('#why')).toContainText('three-ways at the ends');
  await page.locator('#why').getByRole('button', { name: 'Close' }).click();

  // Two lie on the shelf.
  await page.locator('.ticket').getByLabel('On the shelf').fill('2');
  await edited(page, () => page.locator('.ticket').getByRole('button', { name: 'Keep' }).click());
  await expect(ways.locator('td').last()).toHaveText(String(needed - 2));

  // A list of one's own, one row of it wrong.
  await page.goto(`${house.url}/prices`);
  await page.getByLabel('Name').fill('November');
  await page.getByLabel('Supplier').fill('Quarry Lane Electric');
  await page.getByLabel('File').setInputFiles({ name: 'november.csv', mimeType: 'text/csv', buffer: Buffer.from(list) });
  await page.getByRole('button', { name: 'Read' }).click();
  await expect(page.getByRole('region', { name: 'Refused rows' })).toContainText("Line 3: price '0,55' has a comma");
  await page.getByRole('button', { name: 'Take the other 2 rows' }).click();
  await expect(page.getByRole('row', { name: /November/ })).toContainText('Quarry Lane Electric');
  await page.goto(`${house.job}/material?line=trim:switch.3-way`);
  await expect(page.locator('.ticket')).toContainText('$4.10 for 1 each, Quarry Lane Electric, number Q-31');

  // An open reel is used up before a coil is begun.
  await page.goto(`${house.job}/material?look=reels`);
  await page.getByLabel('Cable').selectOption('12-2');
  await page.getByLabel('Left').last().fill('90');
  await page.getByLabel('Where').last().fill('van');
  await edited(page, () => page.getByRole('button', { name: 'Add' }).click());
  const reel = page.locator('.reel', { hasText: 'Reel 12-2.1, van' });
  await expect(reel).toContainText(/cuts?, \d ft\s+left/);
  await reel.locator('summary').click();
  await expect(reel.locator('tbody tr')).not.toHaveCount(0);
  await page.goto(`${house.job}/pull`);
  await expect(page.locator('.pulls')).toContainText(['From']);

  // The counter has no plates; what is there comes, the rest later.
  await counter(page, house, 'answers', 'plate.1.duplex');
  await page.goto(`${house.job}/orders`);
  const trim = page.getByRole('region', { name: 'trim' });
  await trim.getByRole('button', { name: /Order \d+ lines/ }).click();
  const order = page.locator('section.order').first();
  await expect(order).toContainText('trim: confirmed');
  await expect(order).toContainText(/Comes later:\s+\d+ one-gang plate, duplex opening/);
  await order.getByRole('button', { name: 'All came but what comes later' }).click();
  await expect(order).toContainText('part received');

  // It does not answer: the order is kept, tried again, and there once.
  await counter(page, house, 'cannot be reached');
  await page.goto(`${house.job}/orders`);
  await page
    .getByRole('region', { name: 'rough-in' })
    .getByRole('button', { name: /Order \d+ lines/ })
    .click();
  await expect(page.locator('section.order').first()).toContainText('it is kept and tried again');
  await counter(page, house, 'answers');
  await page.goto(`${house.job}/orders`);
  const waits = page.locator('section.order').first();
  if (await waits.getByRole('button', { name: 'Try again now' }).isVisible())
    await waits.getByRole('button', { name: 'Try again now' }).click();
  await expect(waits).toContainText('rough-in: confirmed');

  // A set is issued, a receptacle goes: what can go back, and what the owner is told.
  await page.goto(`${house.job}/issued`);
  await page.locator('input[name=name]').fill('before the change');
  await page.getByRole('button', { name: /Issue/ }).click();
  await page.goto(`${house.job}/boxes?pick=box:living.r1`);
  await edited(page, () =>
    page
      .getByRole('button', { name: /^(Remove|Take away)/ })
      .first()
      .click(),
  );
  await page.goto(`${house.job}/orders`);
  await expect(trim).toContainText('To return');
  await page.goto(`${house.job}/material?look=estimate&against=1`);
  await expect(page.locator('.takeoff tr.sum')).toContainText('-$');
  await page.getByRole('link', { name: 'Print the change order' }).click();
  await expect(page.locator('main')).toContainText('Against set 1, before the change.');
  await expect(page.locator('main')).toContainText('Box living.r1: gone.');
  await expect(page.getByRole('row', { name: /^Total/ })).toContainText('-$');
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  const file = await page.request.get(`${house.job}/files/change-order.pdf?since=1`);
  expect((await file.body()).subarray(0, 5).toString()).toBe('%PDF-');
});
