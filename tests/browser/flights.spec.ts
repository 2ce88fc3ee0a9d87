import { expect, test } from './fixtures';

const judged = 'What would have been spoken';

test('an alarm that cries wolf and comes too late is tuned on flights, and moves, with the keyboard', async ({
  craft,
}) => {
  const page = await craft('wren', 'return?part=flights');
  await page.getByRole('button', { name: 'Limit 14.1 V for “Empty”' }).press('Enter');
  // The lines of the whole flights come late: when a hand drags over one already.
  let come = () => {};
  const late = new Promise<void>((resolve) => (come = resolve));
  const lines: Promise<null>[] = [];
  await page.route(/drawing\?from=0&/, async (route) => {
    lines.push(page.waitForEvent('requestfinished', (r) => r === route.request()).then(() => null));
    await late;
    await route.continue();
  });
  for (const kind of [/gusts/, /fade/]) {
    await page.getByRole('button', { name: 'An invented flight' }).press('Enter');
    await page.getByRole('menuitem', { name: kind }).press('Enter');
    await expect(page.getByRole('list', { name: 'Flights' }).getByRole('button', { name: kind }).first()).toContainText(
      'rows',
    );
  }
  const flights = page.getByRole('list', { name: 'Flights' });
  const words = page.getByLabel(judged).locator('p').first();
  await expect(words).toContainText(/^No false alarm, and too late/);
  await flights.getByRole('button', { name: /gusts.*rows/ }).press('Enter');
  await expect(words).toContainText(/^\d false alarms, and too late/);
  await page.getByText(/^It held \d times/).press('Enter');
  await expect(page.getByLabel(judged)).toContainText('false: withdrawn as the load came down');
  // A look closer, by keyboard and by pointer, and back.
  const whole = page.getByRole('button', { name: 'The whole flight' });
  await page
    .getByRole('button', { name: /^Look closer at/ })
    .first()
    .press('Enter');
  await whole.press('Enter');
  const chart = page.getByRole('img', { name: /^Battery/ });
  await chart.hover({ position: { x: 300, y: 40 } });
  const box = await chart.boundingBox();
  await page.mouse.down();
  come();
  expect(await Promise.all(lines)).toHaveLength(2);
  await page.evaluate(async () => {
    for (let i = 0; i < 10; i++) await new Promise(requestAnimationFrame);
  });
  await page.mouse.move(box!.x + 500, box!.y + 40, { steps: 3 });
  await page.mouse.up();
  await whole.press('Enter');
  await expect(page.getByText('Drag over a stretch to look closer.')).toBeVisible();
  await page.getByRole('button', { name: /^Try 40 levels/ }).press('Enter');
  const place = page.getByRole('slider', { name: 'Level and time' });
  await expect(page.getByText(/No false alarm and at least 30 s on every flight/)).toBeVisible({ timeout: 30_000 });
  const best = await place.getAttribute('aria-valuetext');
  await place.press('ArrowLeft');
  await expect(place).not.toHaveAttribute('aria-valuetext', best!);
  await page.getByRole('button', { name: 'To the recommended' }).press('Enter');
  await expect(place).toHaveAttribute('aria-valuetext', best!);
  await page.getByRole('button', { name: 'Set it so' }).press('Enter');
  await expect(page.getByText('It is set so.')).toBeVisible();
  await expect(words).toContainText(/^No false alarm; it stood/);
  await flights.getByRole('button', { name: /fade.*rows/ }).press('Enter');
  await expect(words).toContainText(/^No false alarm; it stood/);
});

test('a recording is dropped, its columns are told, and what is damaged is named by its line', async ({ craft }) => {
  const page = await craft('sandpiper', 'return?part=flights');
  const rows = Array.from(
    { length: 400 },
    (_, i) => `${i * 250};${(25.2 - i * 0.014).toFixed(2).replace('.', ',')};${i % 90}`,
  );
  rows[9] = '2250;oops;3';
  rows[20] = '5000;25,0';
  const table = ['ticks;u;thr', ...rows].join('\r\n');
  await page
    .getByLabel('Recorded flight')
    .setInputFiles({ name: 'mine.csv', mimeType: 'text/csv', buffer: Buffer.from(table) });
  const columns = page.getByRole('region', { name: 'Columns of the flight' });
  await page.getByRole('button', { name: 'Columns' }).press('Enter');
  await expect(columns).toContainText('Rows are 250 apart: taken for ms.');
  await expect(columns).toContainText('Numbers have decimal commas.');
  await columns.getByLabel('Column 2 means').selectOption({ label: 'voltage of the pack' });
  await expect(columns).toContainText('1 rows and 1 cells could not be read; all others were');
  await columns.locator('summary').press('Enter');
  await expect(columns).toContainText('Line 11: “oops” is no number for voltage of the pack');
  await expect(columns).toContainText('Line 22: The row has 2 cells, the others 3');
  await expect(page.getByRole('img', { name: /^Battery: pack from 19\.6 to 25\.2 V/ })).toBeVisible();
  await page.getByRole('button', { name: 'Put mine.csv away' }).press('Enter');
  await expect(page.getByText('Drop a recorded flight here')).toBeVisible();
});

test('what is no flight is refused with the reason, and a large one can be stopped', async ({ craft }) => {
  const page = await craft('sandpiper', 'return?part=flights');
  const input = page.getByLabel('Recorded flight');
  await input.setInputFiles({
    name: 'letter.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from('Dear crew,\nfly well.\n'),
  });
  await expect(page.getByText('There is no row of numbers.')).toBeVisible();
  const large =
    'time,pack\n' + Array.from({ length: 900_000 }, (_, i) => `${i / 50},${(25 - i / 200_000).toFixed(3)}`).join('\n');
  await input.setInputFiles({ name: 'long.csv', mimeType: 'text/csv', buffer: Buffer.from(large) });
  await page.getByRole('button', { name: /(Stop reading|Put) long\.csv/ }).click();
  await expect(page.getByRole('button', { name: 'Put long.csv away' })).toHaveCount(0);
});
