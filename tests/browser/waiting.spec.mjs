// Work that takes long: the page says how far it is and goes on to what it made.
import { readFileSync } from 'node:fs';
import { expect } from '@playwright/test';
import { visit as test } from './house.mjs';

// The cottage so many times over, each on a storey of its own: what hangs on a name gets another one.
function tower(times) {
  const text = readFileSync('demo/gull-cottage.json', 'utf8');
  const house = JSON.parse(text);
  const lists = ['rooms', 'openings', 'counters', 'fixtures', 'appliances'];
  const names = new Set(['rooms', 'counters', 'fixtures', 'appliances'].flatMap(list => house[list].map(thing => thing.id)));
  for (const list of lists)
    house[list] = [...Array(times).keys()].flatMap(n =>
      JSON.parse(text)[list].map(thing => renamed(thing, names, n === 0 ? '' : `-${n + 1}`, n)),
    );
  house.storeys = [...Array(times).keys()].map(n => ({
    id: n === 0 ? 'ground' : `s${n + 1}`,
    name: `Floor ${n + 1}`,
    floor: `${9 * n}'0`,
  }));
  return { ...house, name: 'Tower' };
}

function renamed(thing, names, suffix, n) {
  const made = { ...thing };
  for (const key of ['id', 'room', 'to']) if (names.has(thing[key])) made[key] += suffix;
  if (made.storey && n > 0) made.storey = `s${n + 1}`;
  if (made.id && !names.has(thing.id)) made.id += suffix;
  return made;
}

test('plans of a large house are compared while the page tells how far it is, loaded anew too', async ({ page, house }) => {
  const file = { name: 'tower.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(tower(12))) };
  await page.goto(house.url);
  await page.getByLabel(/Job file, archive/).setInputFiles(file);
  await page.getByRole('button', { name: 'Import' }).click();
  await expect(page).toHaveURL(/tower\/rooms/);
  await page.goto(`${house.url}/jobs/tower/circuits`);
  await page.getByRole('button', { name: 'Plan the house' }).first().click();
  await expect(page.locator('#work')).toHaveAttribute('data-stamp', '2', { timeout: 60_000 });
  await page.goto(`${house.url}/jobs/tower/plans`);
  await expect(page.getByRole('status').filter({ hasText: 'This takes a while' })).toBeVisible();

  // Loaded anew it waits for the same work.
  await page.goto(`${house.url}/jobs/tower/plans`);
  await expect(page.getByRole('status').filter({ hasText: 'This takes a while' })).toBeHidden({ timeout: 90_000 });
  await expect(page.locator('main')).toContainText('ft');
});
