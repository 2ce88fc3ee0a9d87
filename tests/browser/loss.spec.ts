import type { Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { expect, test } from './fixtures';
import { plugIn, put, teach } from './sticks';

const row = (text: RegExp) => ({ hasText: text });

/** Sets what the board does on a loss, and looks at the loss again. */
async function doesOnLoss(page: Page, what: string): Promise<void> {
  await page.getByRole('tab', { name: 'Settings' }).press('Enter');
  await page.getByRole('button', { name: 'Change: Lost signal' }).press('Enter');
  await page.getByRole('combobox', { name: 'then', exact: true }).selectOption({ label: what });
  await page.getByRole('tab', { name: 'Loss' }).press('Enter');
}

test('a loss at 60 km/h is read second by second, and a landing is made long enough, with the keyboard', async ({
  craft,
}) => {
  const page = await craft('wren', 'board?part=loss');
  // Somebody meant her to fly home; she never knows where that is, and lands where she is.
  const aimless = page.getByRole('article').filter({ hasText: 'no position receiver' });
  await expect(aimless).toBeVisible();
  await doesOnLoss(page, 'stops the motors');
  await expect(aimless).toHaveCount(0);
  const speed = page.getByRole('slider', { name: 'Speed' });
  await speed.focus();
  await page.keyboard.press('Home');
  for (let i = 0; i < 60; i++) await page.keyboard.press('ArrowRight');
  const height = page.getByRole('slider', { name: 'Height' });
  await height.focus();
  await page.keyboard.press('Home');
  for (let i = 0; i < 40; i++) await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('button', { name: 'Saved, revision 4' })).toBeVisible();
  await expect(page.getByRole('heading', { name: /^At 60 km\/h, 40 m up/ })).toBeVisible();
  // The board knows first, the pilot much later, and the craft is on its way down by then.
  const marks = page.getByRole('row');
  await expect(marks.filter(row(/The board knows that the signal is lost/))).toContainText('443 to 450 ms');
  await expect(marks.filter(row(/The transmitter says “Signal lost”/))).toContainText('0.9 to 1 s');
  await expect(marks.filter(row(/The motors stop/))).toContainText('40 m');
  await expect(page.getByText('The motors stay off until the arm switch was off and on again.')).toBeVisible();
  const [sheet] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Loss sheet, to take along' }).press('Enter'),
  ]);
  const text = await readFile(await sheet.path(), 'utf8');
  expect(text).toContain(
    `**${await page.getByRole('heading', { name: /^At 60 km\/h, 40 m up/ }).innerText()}.**`.replaceAll('\u00a0', ' '),
  );

  await page.getByRole('tab', { name: 'Settings' }).press('Enter');
  await page.getByRole('combobox', { name: 'then', exact: true }).selectOption({ label: 'lands' });
  await page
    .getByRole('combobox', { name: 'The pilot has it back', exact: true })
    .selectOption({ label: 'with the first frame' });
  await page.getByRole('tab', { name: 'Loss' }).press('Enter');
  const finding = page.getByRole('article').filter({ hasText: 'The landing ends' });
  await expect(finding).toBeVisible();
  await expect(marks.filter(row(/It comes down by itself/))).toContainText('40 m');
  await expect(page.getByText(/Dangerous\./)).toBeVisible();
  await finding.getByRole('button', { name: 'Lands for 40 s' }).press('Enter');
  await expect(finding).toHaveCount(0);
  await expect(marks.filter(row(/The motors stop/))).toContainText('0 m');
});

test('the same loss is played on the bench', async ({ craft }) => {
  const page = await craft('wren', 'board?part=loss');
  await doesOnLoss(page, 'stops the motors');
  await page.getByRole('button', { name: 'Play it on the bench' }).press('Enter');
  const log = page.getByRole('log');
  await expect(log).toContainText('Armed', { timeout: 15_000 });
  await expect(log).toContainText('Signal lost, motors stopped', { timeout: 15_000 });
  await expect(page.getByRole('button', { name: 'Play it on the bench' })).toBeEnabled();
});

test('presets are worked out, written down and proven, with the keyboard', async ({ craft }) => {
  const page = await craft('wren', 'air?part=channels');
  await page.getByRole('combobox', { name: 'The receiver', exact: true }).selectOption({ label: 'sends presets' });
  const presets = page.getByRole('region', { name: 'Presets that disarm and keep the throttle low' });
  await expect(presets.getByRole('row', { name: /Throttle/ })).toContainText('988.1 µs');
  const write = presets.getByRole('button', { name: 'Write these presets down' });
  await write.press('Enter');
  await expect(presets).toContainText('the motors start again by themselves');
  await expect(presets).toContainText('These are written down.');
  await page.goto(page.url().replace(/air.*/, 'proof'));
  await expect(page.getByTestId('promise-quiet-receiver')).toContainText('proven');
});

test('a recording of a receiver that holds is dropped and read, and the setup takes it over', async ({
  craft,
  app,
}) => {
  const page = await craft('wren', 'air?part=channels');
  const receiver = page.getByRole('combobox', { name: 'The receiver', exact: true });
  await receiver.selectOption({ label: 'holds the last values' });
  await expect(page.getByRole('button', { name: 'Saved, revision 2' })).toBeVisible();
  const id = /craft\/([^/]+)/.exec(page.url())![1]!;
  const recording = await page.request.get(`${app.address}/api/setups/${id}/recording?fault=transmitter-off`);
  await receiver.selectOption({ label: 'falls silent' });
  await expect(page.getByRole('button', { name: 'Saved, revision 3' })).toBeVisible();
  await page.goto(page.url().replace(/air.*/, 'wire'));
  await page
    .getByLabel('Recording of the signal wire')
    .setInputFiles({ name: 'held.vcd', mimeType: 'text/plain', buffer: await recording.body() });
  await page.getByRole('button', { name: 'Read a loss in it' }).press('Enter');
  const loss = page.getByRole('region', { name: 'The receiver held the last values' });
  await expect(loss).toContainText('The setup says that it falls silent.');
  await loss.getByRole('button', { name: 'Take it over' }).press('Enter');
  await expect(loss).toContainText('The setup says the same.');
  // It is a part of the real test.
  await loss.getByRole('button', { name: /^It was the real receiver/ }).press('Enter');
  await expect(loss).toContainText('Ticked in the real test');
  await loss.getByRole('link', { name: 'the real test' }).press('Enter');
  const seen = page.getByRole('listitem').filter({ hasText: 'If you can: Keep a stick going round' }).last();
  await expect(seen).toContainText('on a recording of the wire');
});

test('a loss is tried with both hands on a joystick, and what it is good for is said', async ({ craft }) => {
  const page = await craft('wren', 'board?part=loss');
  await plugIn(page);
  await page.reload();
  await page.getByRole('button', { name: 'Real sticks' }).press('Enter');
  const rest = [0, -1, 0, 0];
  await teach(page, 'Left shoulder', 0, rest, [1, -1]);
  await page.keyboard.press('Escape');
  await put(page, [-1, -1, 0, 0]);
  await page.getByRole('button', { name: 'Begin' }).press('Enter');
  const trial = page.getByRole('group', { name: 'Loss, guided' });
  const prompt = trial.getByRole('paragraph').first();
  await expect(prompt).toContainText('Throttle low, and arm.');
  await put(page, [1, -1, 0, 0]);
  await expect(prompt).toContainText('Switch the transmitter off.');
  await page.evaluate(() => window.dispatchEvent(new Event('gamepaddisconnected')));
  await expect(trial).toContainText(/The motors stand\. After 1\d\d ms\./);
  await expect(prompt).toContainText('Switch the transmitter on. Leave the arm switch.');
  await page.evaluate(() => window.dispatchEvent(new Event('gamepadconnected')));
  await expect(prompt).toContainText('Arm switch off.');
  await put(page, [-1, -1, 0, 0]);
  await expect(prompt).toContainText('Arm switch on.');
  await put(page, [1, -1, 0, 0]);
  await expect(prompt).toContainText('Disarm. That is all.');
  await expect(trial.getByLabel('As it should', { exact: true })).toHaveCount(5);
  await put(page, [-1, -1, 0, 0]);
  await expect(page.getByText('It proves nothing of the craft')).toBeVisible();
});
