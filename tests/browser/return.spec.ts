import { expect, test } from './fixtures';

test('why only the sensors of the receiver are there is found, and put right, with the keyboard', async ({ craft }) => {
  const page = await craft('sandpiper', 'return');
  await expect(page.getByTestId('heard-voltage')).toHaveText('25.2 V');
  await page.getByRole('button', { name: 'Change: Board' }).press('Enter');
  await page.getByLabel('It reports').selectOption({ label: 'not at all: it is off' });
  await expect(page.getByText("The board's telemetry is off.").first()).toBeVisible();
  await page.getByRole('tab', { name: 'Search' }).click();
  await page.getByRole('button', { name: 'Search on the bench' }).press('Enter');
  const reasons = page.getByRole('region', { name: /^Found 4 of 10/ });
  await expect(reasons.getByRole('listitem').first()).toContainText("The board's telemetry is off.");
  // What is found by hand is told likewise: nothing at all is a matter of the link.
  await page.getByRole('button', { name: 'It found nothing' }).press('Enter');
  await expect(
    page
      .getByRole('region', { name: /^Found 0 of 10/ })
      .getByRole('listitem')
      .first(),
  ).toContainText('There is no link');
  const finding = page.getByRole('article').filter({ hasText: '2 readings that are used do not come' });
  await finding.getByRole('button', { name: 'Put all 2 right' }).press('Enter');
  await expect(finding).toHaveCount(0);
  await page.getByRole('button', { name: 'Search on the bench' }).press('Enter');
  await expect(page.getByRole('heading', { name: 'All that should be there was found' })).toBeVisible();
});

test('a battery alarm is built by answering, speaks on the bench as the battery empties, and is silent again', async ({
  craft,
}) => {
  const page = await craft('wren', 'model?part=ready-made');
  await page.getByRole('button', { name: /^Battery alarm/ }).click();
  await page.getByLabel('Low below, for each cell').fill('3.5');
  await expect(page.getByText('Low below 14 V: 4 × 3.5 V.')).toBeVisible();
  await page.getByRole('button', { name: 'Build it' }).click();
  await page.getByRole('link', { name: /^Return/ }).press('Enter');
  await page.getByRole('tab', { name: 'Battery' }).click();
  await page.getByLabel('Charge left').press('Home');
  const said = page.getByRole('log').getByText(/Battery 13\.\d volts/);
  await expect(said.first()).toBeAttached({ timeout: 20_000 });
  await expect(page.getByTestId('at-return')).toHaveText(/^13\.\d+V$/);
  await page.getByLabel('Charge left').press('End');
  await expect(page.getByTestId('at-return')).toHaveText(/^17\.\d+V$/);
});

test('what the transmitter announces is spoken by the browser’s voice, and nothing that was said before', async ({
  craft,
}) => {
  const page = await craft('wren');
  // Her alarm always speaks, and what it cuts off is said anew.
  const always = page.getByRole('article').filter({ hasText: 'Flight battery of 141 V is not plausible' });
  await always.getByRole('button').first().press('Enter');
  await expect(always).toHaveCount(0);
  await page.evaluate(() => {
    const spoken: string[] = [];
    Object.assign(window, { spoken });
    speechSynthesis.speak = (words) => void spoken.push(words.text);
  });
  const spoken = () => page.evaluate(() => (window as unknown as { spoken: string[] }).spoken);
  const unfold = page.getByRole('button', { name: 'Unfold' });
  if (await unfold.isVisible()) await unfold.press('Enter');
  await page.keyboard.press('Control+.');
  await page.keyboard.press('1');
  await expect(page.getByRole('log')).toContainText('“Armed”');
  expect(await spoken()).toEqual([]);
  await page.getByRole('button', { name: 'Voice' }).press('Enter');
  await page.keyboard.press('Control+.');
  await page.keyboard.press('1');
  await expect.poll(spoken).toContain('Disarmed');
  expect(await spoken()).not.toContain('Armed');
});

test('telemetry that stays away is told with the age of what came last', async ({ craft }) => {
  const page = await craft('sandpiper', 'return');
  const row = page.getByRole('listitem').filter({ has: page.getByTestId('heard-voltage') });
  await expect(row).toContainText('at most 0.32 s old');
  await page.keyboard.press('Control+.');
  await page.keyboard.press('l');
  await expect(row).toContainText('missed');
  await expect(row).toContainText(/[2-9] s old, missed/, { timeout: 20_000 });
  await page.keyboard.press('l');
  await expect(row).toContainText('at most 0.32 s old');
  // A reading that is held stays until it is let go.
  const slider = page.getByLabel('Flight battery at the craft');
  await slider.press('Home');
  await expect(page.getByTestId('heard-voltage')).toHaveText('0.0 V');
  await page.getByRole('button', { name: 'Let go of Flight battery' }).press('Enter');
  await expect(page.getByTestId('heard-voltage')).toHaveText('25.2 V');
});

test('a range check shortens what the link reaches, and a warning that came with the loss is put right', async ({
  craft,
}) => {
  const page = await craft('gannet', 'air');
  await expect(page.getByRole('heading', { name: 'The surroundings take 46 dB' })).toBeVisible();
  const late = page.getByRole('article').filter({ hasText: '“Signal weak” comes with the loss' });
  await expect(late).toContainText('4 s at 15 m/s');
  await late.getByRole('button').first().press('Enter');
  await expect(late).toHaveCount(0);
  await page.getByRole('button', { name: 'Forget it' }).press('Enter');
  await expect(page.getByText(/Reckon with the first warning at .* is the upper bound, in free space/)).toBeVisible();
  await page.getByLabel('at a distance of').fill('2000');
  await page.getByLabel('at a distance of').press('Enter');
  await page.getByRole('button', { name: 'Reckon with that' }).press('Enter');
  await expect(page.getByText(/^First warning at 2 km/)).toBeVisible();
});

test('a timer begins anew when the battery is unplugged, and not in flight, with the keyboard', async ({ craft }) => {
  const page = await craft('wren', 'return?part=timers');
  const shown = page.getByTestId('timer-pack');
  await expect(shown).toContainText('3:40');
  await expect(page.getByText('But its reset is not enabled.')).toBeVisible();
  const flight = page.getByRole('list', { name: 'Pack in a flight' });
  await expect(flight).not.toContainText('begins anew');
  await page.getByRole('button', { name: 'Change: Pack' }).press('Enter');
  await page.getByLabel('reset not enabled').press('Space');
  await expect(flight.getByRole('listitem').filter({ hasText: 'begins anew' })).toContainText('Battery unplugged');
  await page.getByRole('button', { name: 'Close: Pack' }).press('Enter');
  await page.keyboard.press('Control+.');
  await page.keyboard.press('1');
  for (let i = 0; i < 6; i++) await page.keyboard.press('w');
  await expect(shown).toContainText('3:38');
  await page.keyboard.press('l');
  await expect(page.getByRole('log')).toContainText('Telemetry missed', { timeout: 15_000 });
  await page.keyboard.press('l');
  await expect(page.getByRole('log')).toContainText('Telemetry comes', { timeout: 15_000 });
  await expect(shown).toContainText(/3:[0-3]\d/);
  await expect(shown).toContainText('counts');
  await page.keyboard.press('x');
  await page.keyboard.press('1');
  await expect(shown).toContainText('stands still');
  await expect(shown).not.toContainText('3:40');
  await page.keyboard.press('b');
  await expect(shown).toContainText('3:40', { timeout: 15_000 });
  await expect(page.getByRole('log')).toContainText(/Pack begins anew at 3:[0-3]\d/);
});

test('a timer that is built by answering, and one that was reset in flight, are proven and put right', async ({
  craft,
}) => {
  const page = await craft('gannet', 'return?part=timers');
  const flight = page.getByRole('list', { name: 'Flown in a flight' });
  await expect(flight.getByRole('listitem').filter({ hasText: 'Telemetry lost in flight' })).toContainText(
    'reset, too soon',
  );
  await expect(flight).toContainText('counts already');
  for (const [finding, fix] of [
    ['Flown is reset in flight', 'Flown begins anew when the battery is unplugged'],
    ['The bare switch starts Flown', 'Flown starts with the first raised throttle'],
  ] as const) {
    const told = page.getByRole('article').filter({ hasText: finding });
    await told.getByRole('button', { name: fix }).press('Enter');
    await expect(told).toHaveCount(0);
  }
  await expect(flight).not.toContainText('too soon');
  await expect(flight).not.toContainText('counts already');
  await page.getByRole('link', { name: 'Flight timer, ready made' }).press('Enter');
  await page.getByLabel('It counts').selectOption({ label: 'only while the throttle is up' });
  await page.getByLabel('Counts down from').fill('95');
  await expect(page.getByText('It calls out 30 s, 20 s, 10 s before the end, and the end.')).toBeVisible();
  await expect(page.getByText('Timer “Load time”: Counts down from 1:35')).toBeVisible();
  await page.getByRole('button', { name: 'Build it' }).press('Enter');
  await page.getByRole('link', { name: /^Return/ }).press('Enter');
  await page.getByRole('tab', { name: 'Timers' }).press('Enter');
  await expect(page.getByTestId('timer-load-time')).toContainText('1:35');
});

test('an alarm is heard on the bench by itself, and at a transmitter a finding stands until it is put back', async ({
  craft,
}) => {
  const page = await craft('sandpiper', 'return?part=alarms');
  // Before anything has come there is nothing to set it above.
  await expect(page.getByText('Flight battery reads 25.')).toBeVisible();
  await page.getByRole('button', { name: 'Hear it on the bench' }).press('Enter');
  await expect(page.getByText(/Heard: “Battery 25\.\d volts”, 3(\.\d)? s later\. Silent again/)).toBeVisible({
    timeout: 30_000,
  });
  await page.getByRole('button', { name: 'At my transmitter' }).press('Enter');
  await page.getByLabel('Flight battery reads').fill('24.9');
  await page.getByRole('button', { name: 'Where to set the limit' }).press('Enter');
  await expect(page.getByText('25.1 V', { exact: true })).toBeVisible();
  const finding = page.getByRole('article').filter({ hasText: '“Battery low” was raised for a test' });
  await expect(finding).toBeVisible();
  await page.getByLabel('heard', { exact: true }).press('Space');
  await page.getByLabel('It is over above').fill('22.8');
  await page.getByLabel('The limit reads').fill('25.1');
  await page.getByLabel('The limit reads').press('Enter');
  await expect(page.getByRole('alert')).toContainText('It reads 25.1 V and 22.8 V, and must read 22.2 V and 22.8 V');
  await page.getByLabel('The limit reads').fill('22.2');
  await page.getByLabel('The limit reads').press('Enter');
  await expect(finding).toHaveCount(0);
  // What was heard and read back is ticked in the list of the work.
  await page.goto(page.url().replace(/return.*/, 'work'));
  await expect(page.getByRole('heading', { name: 'Hear the alarms, and put their levels back done' })).toBeVisible();
});

test('an item that stays empty in the goggles, and a warning other than the voice’s, are found and put right', async ({
  craft,
}) => {
  const page = await craft('gannet', 'return?part=goggles');
  const second = page.getByRole('region', { name: /^Page 2/ });
  await expect(second.getByRole('listitem')).toContainText('The board has no barometer.');
  const told = page
    .getByRole('article')
    .filter({ has: page.getByRole('heading', { name: 'Goggles and voice warn of the signal at different levels' }) });
  await told.getByRole('button', { name: 'The goggles warn of the signal where the voice does' }).press('Enter');
  await expect(told).toHaveCount(0);
  await expect(page.getByRole('group', { name: 'Warning of the signal' }).getByRole('spinbutton')).toHaveValue('30');
  await second.getByRole('button', { name: 'Remove Height' }).press('Enter');
  await expect(second).toContainText('Blank.');
  await second.getByRole('button', { name: 'Item' }).press('Enter');
  await expect(second.getByRole('listitem')).toContainText('nothing turns the pages');
  await second.getByLabel('Page').fill('1');
  await second.getByLabel('Page').press('Enter');
  await expect(page.getByRole('region', { name: /^Page 1/ }).getByRole('listitem')).toHaveCount(4);
});
