import { visit as test, expect } from './house.mjs';
import { dragTo, edited, readsWell } from './hand.mjs';

// Where a box stands, in inches of the plan.
const place = (page, box) =>
  page.locator(`[data-box="${box}"]`).evaluate(e =>
    e
      .getAttribute('transform')
      .match(/-?[\d.]+/g)
      .map(Number),
  );

// How far the stage is that is open.
const stage = page => page.locator('.stages a[aria-current]');

test.use({ begins: 'boxes' });

async function propose(page, house) {
  await page.goto(`${house.job}/boxes`);
  await expect(stage(page)).toContainText('proposed');
}

test('boxes are proposed, one is moved to break the rule, it is seen, the fix is pressed', async ({ page, house }) => {
  await propose(page, house);
  await page.locator('h2 a', { hasText: 'Living room' }).click();
  await expect(page.locator('.ticket h2')).toHaveText('Living room');
  await expect(page.locator('.reach.far')).toHaveCount(0);
  await expect(page.locator('.reach').first()).toBeVisible();
  const from = await place(page, 'living.r1'),
    to = await place(page, 'living.r3');

  // While the hand still holds it, the wall that it leaves is shown out of reach.
  const svg = page.locator('.plan');
  const screen = p =>
    svg.evaluate((s, [x, y]) => {
      const m = s.getScreenCTM();
      return [x * m.a + m.e, y * m.d + m.f];
    }, p);
  const [x, y] = await screen(from),
    [u, v] = await screen(to);
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move((x + u) / 2, (y + v) / 2, { steps: 4 });
  await page.mouse.move(u + 6, v + 6, { steps: 4 });
  await expect(page.locator('.reach.far').first()).toBeVisible();
  await expect(page.locator('.sketch-text')).toContainText('out of reach');
  await edited(page, () => page.mouse.up());
  await expect(stage(page)).toContainText('1 to mend');
  const finding = page.locator('.ticket .finding.must');
  await expect(finding).toContainText('the limit is 6\'-0"');
  await expect(finding).toContainText('210.52(A)');
  await edited(page, () => finding.getByRole('button').click());
  await expect(page.locator('.ticket .finding.must')).toHaveCount(0);
  await expect(page.locator('.reach.far')).toHaveCount(0);

  // The person's box stays where it is when the room is proposed again.
  const moved = await place(page, 'living.r1');
  await page.goto(`${house.job}/boxes?pick=room:living`);
  await edited(page, () => page.locator('.ticket').getByRole('button', { name: 'Propose boxes for Living room' }).click());
  expect(await place(page, 'living.r1')).toEqual(moved);

  // Escape lets go of the room, from a field of its ticket as well; so does a click on empty paper.
  await page.locator('.ticket input:not([type=hidden])').first().focus();
  await page.keyboard.press('Escape');
  await expect(page.locator('.ticket')).toHaveCount(0);
  await page.locator('h2 a', { hasText: 'Living room' }).click();
  await expect(page.locator('.ticket h2')).toHaveText('Living room');
  // A link loads the page anew: before its scripts are there, nobody hears a click on the drawing.
  await page.locator('html[data-ready]').waitFor();
  const canvas = await page.locator('.canvas').boundingBox();
  await page.mouse.click(canvas.x + canvas.width - 12, canvas.y + canvas.height - 12);
  await expect(page.locator('.ticket')).toHaveCount(0);
});

test('a box is changed, held, listed and scheduled on paper; the edition is changed and compared', async ({ page, house }) => {
  await propose(page, house);
  await page.locator('.chips a', { hasText: 'light l1' }).first().click();
  await page.locator('summary', { hasText: 'Hold it' }).click();
  await page.getByLabel('Waits for').fill('fixture not chosen');
  await page.getByLabel('Ask', { exact: true }).fill('owner');
  await edited(page, () => page.getByRole('button', { name: 'Hold', exact: true }).click());
  await expect(page.locator('.ticket .finding.held')).toContainText('fixture not chosen');
  await edited(page, () => page.getByRole('button', { name: 'Roughed in' }).click());
  await page.getByRole('button', { name: 'Final' }).click();
  await expect(page.getByRole('alert')).toContainText('it can be roughed in with slack, but not called final');
  await page.goto(`${house.job}/boxes?pick=box:living.r2`);
  await page.locator('summary', { hasText: 'Change it' }).click();
  await page.locator('select[name=style]').selectOption('Quad');
  await edited(page, () => page.locator('.ticket').getByRole('button', { name: 'Save' }).click());
  await expect(page.locator('.facts')).toContainText('two duplex receptacles');
  await expect(page.locator('.facts')).toContainText('two-gang nail-on');
  await expect(page.locator('.strip-drawing .strip-box.picked')).toBeVisible();
  await page.getByRole('link', { name: 'Box schedule on paper' }).click();
  await expect(page.getByRole('heading', { name: 'Held boxes' })).toBeVisible();
  await expect(page.locator('.room-sheet').first().locator('.strip-drawing').first()).toBeVisible();
  const pdf = (await page.pdf({ format: 'Letter' })).toString('latin1');
  expect(pdf.match(/\/Type \/Page\b/g).length).toBeLessThan(45);
  await page.goto(`${house.job}/job`);
  await page.getByLabel('Code edition').selectOption('us-2020');
  await edited(page, () => page.getByRole('button', { name: 'Save' }).click());
  await page.locator('.stages a', { hasText: 'Boxes' }).click();
  await expect(stage(page)).toContainText('to mend');
  await edited(page, () => page.getByRole('button', { name: 'Propose boxes for the house' }).click());
  await expect(stage(page)).not.toContainText('to mend');
  await page.goto(`${house.job}/editions`);
  await expect(page.locator('tbody')).toContainText('receptacles on an island');
});

test('a light is put on another switch place by keyboard, on a phone', async ({ page, house }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await propose(page, house);
  await page.goto(`${house.job}/boxes?pick=room:living`);
  const form = page.locator('form', { has: page.getByRole('button', { name: 'Add', exact: true }) });
  await form.locator('select[name=kind]').focus();
  await page.keyboard.type('switch');
  await form.locator('select[name=wall]').focus();
  await page.keyboard.type('west');
  await form.getByLabel('at', { exact: true }).focus();
  await page.keyboard.type("2'");
  await edited(page, () => page.keyboard.press('Enter'));
  await expect(page.locator('[data-box="living.x1"]')).toHaveCount(1);
  await page.goto(`${house.job}/boxes?pick=box:living.x1`);
  await expect(page.locator('.gangs')).toContainText('ceiling light');
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('circuits: why a box is there, what goes dark, plans side by side, one is taken, a lock is kept', async ({ page, house }) => {
  await propose(page, house);
  await page.goto(`${house.job}/circuits`);
  await edited(page, () => page.getByRole('button', { name: 'Plan circuits' }).click());
  await page.goto(`${house.job}/circuits?pick=box:living.r1`);
  await page.getByRole('button', { name: 'why', exact: true }).click();
  await expect(page.locator('#why')).toContainText('On a circuit of its own');
  await page.keyboard.press('Escape');
  await page.locator('.ticket .facts').getByRole('link', { name: /^\d+ / }).click();
  await page.getByRole('link', { name: 'What goes dark' }).click();
  await expect(page.getByRole('heading', { name: 'What goes dark' })).toBeVisible();
  await expect(page.locator('.mark.dead').first()).toBeVisible();
  await page.getByRole('link', { name: 'Power on' }).click();
  await expect(page.locator('.mark.dead')).toHaveCount(0);
  const number = await page.locator('.ticket h2').textContent();
  const boxes = await page.locator('.ticket .chain a').allTextContents();
  await edited(page, () => page.getByRole('button', { name: 'Lock', exact: true }).click());
  await page.getByRole('link', { name: 'Compare plans' }).click();
  await expect(page.locator('.columns section')).toHaveCount(5);
  await page.locator('section', { hasText: 'Least darkness' }).getByRole('button', { name: 'Take this plan' }).click();
  await expect(page.getByRole('button', { name: 'Undo take plan' })).toBeVisible();
  await page.goto(`${house.job}/circuits?pick=circuit:${number.match(/\d+/)[0]}`);
  expect((await page.locator('.ticket .chain a').allTextContents()).sort()).toEqual(boxes.sort());
});

test.describe('with circuits', () => {
  test.use({ begins: 'circuits' });
  const pages = [
    'boxes?pick=room:living',
    'boxes?pick=box:kitchen.s1',
    'boxes?pick=wall:living:0',
    'circuits?pick=circuit:23&dark=circuit:23',
    'job',
    'amendments',
  ];
  const papers = ['box-schedule', 'plans', 'editions', 'pull', 'labels', 'make-up', 'stickers', 'load-sheet'];
  for (const [name, addresses] of [
    ['stages', pages],
    ['papers and rules', [...papers, 'rules', 'company']],
  ]) {
    test(`${name} read well for everyone`, async ({ page, house }) => {
      for (const address of addresses) {
        const apart = { rules: `/rules?job=${house.job.split('/').pop()}`, company: '/company' }[address];
        await page.goto(apart ? house.url + apart : `${house.job}/${address}`);
        // The plan is drawn by the same code on every page: it is looked at once, in its own stage.
        await readsWell(page, { alike: true, drawings: address.endsWith('pick=room:living') });
      }
    });
  }
});
