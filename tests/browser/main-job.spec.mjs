import { readsWell, take } from './hand.mjs';
import { test, visit, expect, serve } from './house.mjs';

// From an empty data directory, as on the first day.
test.describe('at first', () => {
  test.use({ empty: true });

  test('the demo house from its rooms to a printed schedule, by mouse', async ({ page, house }) => {
    await page.goto(house.url);
    await readsWell(page);
    await page.getByRole('link', { name: 'Tamarack Row', exact: true }).click();
    await expect(page.locator('.plan .floor')).toHaveCount(13);
    await readsWell(page);
    await page.getByRole('link', { name: /^Boxes/ }).click();
    await page.getByRole('button', { name: 'Propose boxes for the house' }).click();
    await expect(page.locator('.mark').first()).toBeVisible();
    await readsWell(page);
    await page.getByRole('link', { name: /^Circuits/ }).click();
    await page.getByRole('button', { name: 'Plan circuits' }).click();
    await expect(page.locator('.strip')).toContainText('0 must');
    await page.getByRole('link', { name: 'Electric range, Kitchen' }).click();
    await expect(page.locator('.ticket')).toContainText('6-3 on 50 A');
    await readsWell(page);
    await page
      .locator('.ticket')
      .getByRole('button', { name: /12,000 VA/ })
      .click();
    await expect(page.getByRole('dialog')).toContainText('220.55');
    await page.getByRole('button', { name: 'Close' }).click();
    await page.getByRole('link', { name: /^Panel/ }).click();
    await expect(page.locator('.panel-drawing .breaker')).toHaveCount(27);
    await readsWell(page);
    await page.getByRole('link', { name: 'Print the schedule' }).click();
    await expect(page.locator('.schedule tbody tr:not(.sum)')).toHaveCount(40);
    await expect(page.locator('.schedule')).toContainText('Electric range, Kitchen');
    await readsWell(page);
    await page.locator('.schedule').getByRole('button', { name: '50 A, 2-pole' }).first().click();
    await expect(page.getByRole('dialog')).toContainText('Wire and breaker');
    await page.getByRole('button', { name: 'Close' }).click();
    const pdf = (await page.pdf({ format: 'Letter' })).toString('latin1');
    expect(pdf.match(/\/Type \/Page\b/g).length).toBeLessThanOrEqual(2);
  });
});

test('the same by keyboard alone', async ({ page, house }) => {
  await page.goto(house.url);
  await page.keyboard.press('Tab');
  while (!(await page.evaluate(() => document.activeElement?.textContent === 'Tamarack Row'))) await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(page.locator('html[data-ready] .plan')).toBeVisible();
  await page.keyboard.press('3');
  await expect(page.locator('html[data-ready] #work[data-stage=boxes]')).toBeVisible();
  await page.keyboard.press('r');
  await expect(page.locator('.mark').first()).toBeVisible();
  await page.keyboard.press('4');
  await expect(page.locator('html[data-ready] #work[data-stage=circuits]')).toBeVisible();
  await page.keyboard.press('r');
  await expect(page.locator('tr[data-circuit]:not(.new-circuit)')).toHaveCount(27);
  await page.keyboard.press('j');
  await expect(page.locator('.ticket h2')).toHaveText('Circuit 1');
  await page.keyboard.press('u');
  await expect(page.locator('.side')).toContainText('No circuits yet');
  await page.keyboard.press('Shift+U');
  await expect(page.locator('tr[data-circuit]:not(.new-circuit)')).toHaveCount(27);
  await expect(page.locator('html[data-ready]')).toBeVisible();
  await page.keyboard.press('5');
  await expect(page.locator('html[data-ready] #work[data-stage=runs]')).toBeVisible();
  await page.keyboard.press('6');
  await expect(page.locator('.panel-drawing')).toBeVisible();
  await page.getByRole('link', { name: 'Print the schedule' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('.schedule tbody tr:not(.sum)')).toHaveCount(40);
});

test('a new job: rooms typed in, a door, a panel, and a plan', async ({ page, house }) => {
  await page.goto(house.url);
  await page.getByLabel('Name').fill('Heron Shed');
  await page.getByRole('button', { name: 'Start the job' }).click();
  const add = async (name, kind, size) => {
    await page.getByLabel('Name').first().fill(name);
    await page.getByLabel('Kind').first().selectOption(kind);
    await page.getByLabel('Size').fill(size);
    await page.getByRole('button', { name: 'Add room', exact: true }).click();
    await expect(page.locator('.list')).toContainText(name);
  };
  await add('Studio', 'Living', "14'6 x 12");
  await add('Bunk room', 'Bedroom', '10 x 12');
  await expect(page.locator('.list')).toContainText('14\'-6" x 12\'-0"');
  await page.getByRole('link', { name: /^Studio/ }).click();
  await page.getByRole('link', { name: /^east 12/ }).click();
  await page.locator('select[name=what]').selectOption('opening:hinged');
  await page.getByLabel('From the left corner').fill("3'");
  await page.getByLabel('Leads to').selectOption('bunk-room');
  await page.getByRole('button', { name: 'Put on the wall' }).click();
  await expect(page.locator('.plan .opening')).toHaveCount(1);
  await page.locator('select[name=what]').selectOption('panel');
  await page.getByLabel('From the left corner').fill("9'");
  await page.getByRole('button', { name: 'Put on the wall' }).click();
  await expect(page.locator('.panel-mark')).toHaveCount(1);
  await page.locator('select[name=what]').selectOption('opening:window');
  await page.getByLabel('From the left corner').fill("40'");
  await page.getByRole('button', { name: 'Put on the wall' }).click();
  await expect(page.getByRole('alert')).toContainText('runs off its wall');
  await page.getByRole('link', { name: /^Boxes/ }).click();
  await page.getByRole('button', { name: 'Propose boxes for the house' }).click();
  await expect(page.locator('.mark').first()).toBeVisible();
  await page.getByRole('link', { name: /^Circuits/ }).click();
  await page.getByRole('button', { name: 'Plan circuits' }).click();
  await expect(page.locator('.rows tbody tr').first()).toBeVisible();
});

test('killing the program right after an answered edit loses nothing', async ({ page, house }) => {
  await page.goto(`${house.url}/jobs/gull-cottage/boxes`);
  const edits = [
    ['Propose boxes for the house', '.mark'],
    ['Undo propose boxes', '.side p'],
  ];
  for (const [button, sign] of edits) {
    const answered = page.waitForResponse(r => r.request().method() === 'POST');
    await page.getByRole('button', { name: button }).click();
    await answered;
    const stamp = Number(await page.locator('#work').getAttribute('data-stamp'));
    house.lost = true;
    house.child.kill('SIGKILL');
    await new Promise(done => house.child.on('exit', done));
    house.child = await serve(house.port, house.data);
    await page.goto(`${house.url}/jobs/gull-cottage/boxes`);
    house.lost = false;
    await expect(page.locator(sign).first()).toBeVisible();
    expect(Number(await page.locator('#work').getAttribute('data-stamp'))).toBeGreaterThanOrEqual(stamp);
  }
});

visit.describe('in the cottage', () => {
  visit.use({ begins: 'gull-cottage' });

  visit('a box is dragged, moved by arrows, put on another circuit and removed', async ({ page, house }) => {
    await page.goto(`${house.job}/boxes`);
    await page.getByRole('button', { name: 'Propose boxes for the house' }).click();
    const mark = page.locator('[data-box="living.r1"]');
    await expect(mark).toHaveClass(/by-planner/);
    const box = await mark.boundingBox();
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 + 60, box.y + box.height / 2 + 5, { steps: 5 });
    await page.mouse.up();
    await expect(mark).toHaveClass(/by-person/);
    await mark.click();
    const along = page.getByLabel('From the left corner');
    const before = await along.inputValue();
    await page.keyboard.press('ArrowRight');
    await expect(along).not.toHaveValue(before);
    await page.getByRole('link', { name: /^Circuits/ }).click();
    await page.getByRole('button', { name: 'Plan circuits' }).click();
    await expect(page.locator('.rows tbody tr').first()).toBeVisible();
    const rows = await page.locator('.rows tbody tr').count();
    await page.locator('[data-box="living.r1"]').click();
    await page.locator('#to-circuit').fill('new');
    await page.getByRole('button', { name: 'Put there' }).click();
    await expect(page.locator('.rows tbody tr')).toHaveCount(rows + 1);
    await page.keyboard.press('Delete');
    await expect(page.locator('[data-box="living.r1"]')).toHaveCount(0);
  });

  visit('a click on the plan adds a box, Escape makes it pick again', async ({ page, house }) => {
    await page.goto(`${house.job}/boxes`);
    await take(page, 'box:Receptacle');
    const floor = await page.locator('.floor[data-pick="room:living"]').boundingBox();
    await page.mouse.click(floor.x + floor.width / 2, floor.y + floor.height - 6);
    await expect(page.locator('[data-box="living.x1"]')).toHaveClass(/by-person/);
    await expect(page.locator('.rail [data-tool="box:Receptacle"]')).toHaveAttribute('aria-pressed', 'true');
    await page.locator('body').press('Escape');
    await page.mouse.click(floor.x + floor.width / 2, floor.y + floor.height / 2);
    await expect(page.locator('.ticket h2')).toHaveText(/Living/);
    await expect(page.locator('.plan .mark')).toHaveCount(1);
  });

  visit('two windows on one job: the later edit is told, nothing is lost', async ({ page, house, context }) => {
    await page.goto(`${house.job}/rooms?pick=room:living`);
    const other = await context.newPage();
    await other.goto(`${house.job}/boxes`);
    await other.getByRole('button', { name: 'Propose boxes for the house' }).click();
    await expect(other.locator('.mark').first()).toBeVisible();
    const ticket = page.locator('.ticket');
    await ticket.getByLabel('Name', { exact: true }).fill('Parlour');
    await ticket.getByRole('button', { name: 'Save' }).first().click();
    await expect(page.getByRole('alert')).toContainText('changed meanwhile');
    await page.goto(`${house.job}/boxes`);
    await expect(page.locator('.mark').first()).toBeVisible();
  });

  visit('with the program gone an edit says so, is kept, and is sent again when it is back', async ({ page, house }) => {
    await page.goto(`${house.job}/rooms?pick=room:living`);
    const ticket = page.locator('.ticket');
    await ticket.getByLabel('Name', { exact: true }).fill('Parlour');
    house.lost = true;
    await page.route('**/rooms*', route => route.abort());
    await ticket.getByRole('button', { name: 'Save' }).first().click();
    await expect(page.getByRole('alert')).toContainText('does not answer');
    await expect(ticket.getByLabel('Name', { exact: true })).toHaveValue('Parlour');
    await page.unroute('**/rooms*');
    await page.getByRole('button', { name: 'Send it again' }).click();
    await expect(page.locator('.ticket h2')).toHaveText('Parlour');
  });
});

visit.describe('in the demo house', () => {
  visit.use({ begins: 'tamarack-row' });

  visit('a phone shows every stage without sideways scrolling', async ({ page, house }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    for (const stage of ['job', 'rooms', 'boxes', 'circuits', 'panel', 'findings']) {
      await page.goto(`${house.job}/${stage}`);
      expect(await page.evaluate(() => document.documentElement.scrollWidth), stage).toBeLessThanOrEqual(390);
      await readsWell(page);
    }
  });
});
