// Makes docs/screenshots from the demo data. Needs ./start to have run once: node scripts/screenshots.mjs
import { chromium } from '@playwright/test';
import { browserPath } from './browser.mjs';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { serve } from '../tests/browser/house.mjs';

const data = mkdtempSync(join(tmpdir(), 'circuitum-'));
const child = await serve(5599, data);
const browser = await chromium.launch({
  executablePath: browserPath,
  args: [
    '--headless',
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const job = 'http://127.0.0.1:5599/jobs/tamarack-row';
const shot = async (name, options) => {
  await page.evaluate(() => document.fonts.ready);
  await page.screenshot({ path: `docs/screenshots/${name}.png`, ...options });
};
await page.goto('http://127.0.0.1:5599/');
await page.locator('.progress').nth(3).waitFor();
await shot('jobs');
await page.goto(`${job}/rooms?pick=room:kitchen`);
await shot('rooms');
await page.goto(`${job}/plan-print?storey=first`);
await page.emulateMedia({ media: 'print' });
await page.setViewportSize({ width: 816, height: 1056 });
await shot('plan', { fullPage: true });
await page.emulateMedia({ media: 'screen' });
await page.setViewportSize({ width: 1280, height: 800 });
await page.goto(`${job}/boxes`);
await page.getByRole('button', { name: 'Propose boxes for the house' }).click();
await page.locator('.mark').first().waitFor();
await page.goto(`${job}/circuits`);
await page.getByRole('button', { name: 'Plan circuits' }).click();
await page.locator('.rows tbody tr').first().waitFor();
await page.goto(`${job}/boxes?pick=room:living`);
await shot('boxes');
await page.goto(`${job}/boxes?pick=wall:living:0`);
await shot('wall');
await page.goto(`${job}/circuits?pick=circuit:28`);
await shot('circuits');
await page.locator('.ticket').getByRole('button', { name: 'why these rooms' }).click();
await page.locator('#why .why').first().waitFor();
await shot('derivation');
await page.goto('http://127.0.0.1:5599/jobs/sidr-villa--planned/panel?pick=circuit:7');
await page.locator('.canvas.panel svg').waitFor();
await shot('board');
await page.goto(`${job}/plans?storey=second`);
await shot('plans');
await page.goto(`${job}/runs?pick=run:kitchen.r4`);
await page.locator('.run-line.picked').waitFor();
await shot('runs');
await page.goto('http://127.0.0.1:5599/bench/wire?amps=31&continuous=0&volts=240&method=conduit&current-carrying=4&feet=74&max-drop=3');
await shot('bench');
await page.goto(`${job}/panel`);
await shot('panel');
await page.goto(`${job}/print`);
await page.emulateMedia({ media: 'print' });
await page.setViewportSize({ width: 816, height: 1056 });
await shot('schedule', { fullPage: true });
await page.setViewportSize({ width: 1280, height: 800 });
await page.emulateMedia({ media: 'screen' });
await page.goto('http://127.0.0.1:5599/jobs/larch-siding--planned/material?line=RoughIn.cable.14-2');
await page.evaluate(() => document.querySelector('.takeoff').scrollTo(0, 330));
await shot('material');
await page.goto(`${job}/material?look=reels`);
await page.getByLabel('Cable').selectOption('12-2');
await page.getByLabel('Left').last().fill('90');
await page.getByLabel('Where').last().fill('van');
await page.getByRole('button', { name: 'Add' }).click();
await page.locator('.reel', { hasText: 'Reel 12-2.1' }).waitFor();
await shot('reels');
await page.goto('http://127.0.0.1:5599/prices');
await page.getByLabel('Out of stock').fill('plate.1.duplex');
await page.getByRole('button', { name: 'Keep' }).click();
await page.goto(`${job}/orders`);
await page.getByRole('region', { name: 'trim' }).getByRole('button', { name: /Order/ }).click();
await page.locator('section.order').waitFor();
await shot('orders');
await page.setViewportSize({ width: 390, height: 844 });
await page.goto(`${job}/pull`);
await page.getByRole('button', { name: 'Pulled' }).first().click();
await page.locator('.pulls .done').waitFor();
await page.evaluate(() => scrollTo(0, 0));
await shot('pull-phone');
// A morning's work in the kitchen, then how far the house is.
await page.goto(`${job}/field/kitchen?work=Set`);
for (let i = 0; i < 7; i++) {
  const item = page.locator('[data-tasks="Set"] li.task:not(.done)').first();
  await item.locator('[data-do]').click();
  await page.locator('[data-tasks="Set"] li.task.done').nth(i).waitFor();
}
const quiet = async () => {
  await page.locator('[data-kept]:empty').waitFor({ state: 'attached', timeout: 120_000 });
  await page.evaluate(() => scrollTo(0, 0));
};
await page.goto(`${job}/field/living?work=Set`);
await quiet();
await shot('field-room-phone');
await page.goto(`${job}/field`);
await quiet();
await shot('field-phone');
await browser.close();
child.kill();
rmSync(data, { recursive: true, force: true });
