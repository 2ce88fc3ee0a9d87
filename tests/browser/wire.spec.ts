import { expect, test } from './fixtures';

test('a recording is dropped and read: what the wire speaks, what each channel does, the line itself', async ({
  app,
  craft,
  request,
}) => {
  const recording = await request.get(`${app.address}/api/setups/gannet/recording?fault=flipped`);
  const page = await craft('gannet', 'wire');
  await page
    .getByLabel('Recording of the signal wire')
    .setInputFiles({ name: 'bench.vcd', mimeType: 'text/plain', buffer: await recording.body() });
  const result = page.getByRole('article', { name: 'What the recording says' });
  await expect(result.getByRole('heading').first()).toHaveText('Packed 16, but upside down');
  await expect(result).toContainText('an inverter sits in between');
  await expect(result.getByRole('row').filter({ hasText: 'Throttle' })).toContainText('2012');
  await expect(result.getByRole('img', { name: /^header 0F/ })).toBeVisible();
  await result.getByRole('button', { name: 'The next frame' }).click();
  await expect(result.getByRole('heading', { name: /^Frame 2 of/ })).toBeVisible();
});

test('losses are drawn and said first, and each wire of a recording can be looked at', async ({ craft }) => {
  const page = await craft('gannet', 'wire');
  await page.getByRole('button', { name: 'Record the simulated receiver' }).click();
  await page.getByRole('menuitem', { name: /While the link is away/ }).click();
  const result = page.getByRole('article', { name: 'What the recording says' });
  await expect(result.getByRole('listitem').first()).toContainText('without one a loss');
  await expect(result).not.toContainText('The setup says the same.');
  await expect(result.getByRole('row', { name: /^Lost/ })).toContainText('frames repeat older values');
  // A servo's wire beside one that only twitches.
  const rows = Array.from({ length: 40 }, (_, i) => [
    `${i * 20_000},1,${i % 2}`,
    `${i * 20_000 + 1_430},0,${i % 2}`,
  ]).flat();
  const table = ['Time [us],servo,loose', ...rows].join('\n');
  await page
    .getByLabel('Recording of the signal wire')
    .setInputFiles({ name: 'two.csv', mimeType: 'text/csv', buffer: Buffer.from(table) });
  await expect(result.getByRole('heading').first()).toContainText('Separate pulses');
  await result.getByLabel('Wire (2 in the file)').selectOption({ index: 1 });
  await expect(result.getByRole('heading').first()).not.toContainText('Separate pulses');
  await result.getByLabel('Wire (2 in the file)').selectOption({ index: 0 });
  await expect(result.getByRole('row').filter({ hasText: 'Throttle' })).toContainText('1430');
});

test('another format is chosen, and a recording takes the setup back to what the wire speaks', async ({
  app,
  craft,
  request,
}) => {
  const recording = await request.get(`${app.address}/api/setups/wren/recording?format=csv`);
  const page = await craft('wren', 'wire');
  await page.getByLabel('The board is told').selectOption('Duplex packets · 16 channels');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Wire: Duplex packets from receiver to board');
  await expect(page.getByRole('link', { name: /^Wire .*Duplex packets/ })).toBeVisible();
  await page
    .getByLabel('Recording of the signal wire')
    .setInputFiles({ name: 'bench.csv', mimeType: 'text/csv', buffer: await recording.body() });
  await page.getByRole('button', { name: 'Take it over: Packed 16 on the wire' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Wire: Packed 16 from receiver to board');
  // What is no recording is refused, with the line.
  await page
    .getByLabel('Recording of the signal wire')
    .setInputFiles({ name: 'notes.csv', mimeType: 'text/csv', buffer: Buffer.from('hello\n') });
  await expect(page.getByRole('alert')).toContainText('Line 1: A line needs a time and a level');
});

test('a port that cannot read the receiver is found, and the receiver is moved by a fix', async ({ craft }) => {
  const page = await craft('wren', 'wire');
  await page.getByRole('listitem', { name: 'Port 1', exact: true }).getByLabel('Inverter').selectOption('none');
  const finding = page.getByRole('article').filter({ hasText: 'Port 1 cannot read the receiver' });
  await expect(finding).toContainText('Packed 16 idles low, and this port has no inverter.');
  await finding.getByRole('button', { name: 'Receiver on Port 5' }).click();
  const moved = page.getByRole('listitem', { name: 'Port 5', exact: true });
  await expect(moved).toContainText('the receiver is here');
  await expect(moved).toContainText('Set Port 5 to inverted.');
  await expect(finding).toHaveCount(0);
});

test('the link budget follows power and rate, and planned channels that do not arrive are seen', async ({ craft }) => {
  const page = await craft('sandpiper', 'air');
  const reach = page.getByRole('figure');
  await expect(reach).toContainText('first warning at');
  const before = await reach.locator('figcaption').textContent();
  await page.getByLabel('Power').fill('25');
  await page.getByLabel('Power').press('Enter');
  await expect(reach.locator('figcaption')).not.toHaveText(before ?? '');
  await page.getByRole('spinbutton', { name: 'Channels' }).fill('8');
  await page.getByRole('spinbutton', { name: 'Channels' }).press('Enter');
  await page.getByRole('tab', { name: 'Channels' }).click();
  await expect(page.getByRole('heading', { name: /planned, 8 get to the board/ })).toBeVisible();
  await expect(page.getByText('does not arrive').first()).toBeVisible();
});

test('a system with few steps is chosen, and what survives it is seen', async ({ craft }) => {
  const page = await craft('wren', 'air');
  await page.getByLabel('Radio system').selectOption('Stepped packets');
  await expect(page.getByLabel('Mode')).toHaveValue('0');
  await page.getByRole('tab', { name: 'Channels' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Flight mode' })).toContainText('6 steps');
  await page.getByRole('tab', { name: 'Link' }).click();
  await page.getByLabel('Mode').selectOption('150 packets a second, 64 steps');
  await page.getByRole('tab', { name: 'Channels' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Flight mode' })).toContainText('64 steps');
  await page.getByRole('button', { name: 'By the receiver' }).click();
  await page.getByRole('menuitem', { name: /Channel 9/ }).click();
  await expect(
    page.getByRole('heading', { name: 'The receiver puts the signal quality on channel 9, AUX 5' }),
  ).toBeVisible();
});

test('the craft is taken away until packets are lost, and back', async ({ craft }) => {
  const page = await craft('sandpiper', 'air');
  await page.getByLabel('Distance of the craft').fill('100');
  await expect(page.getByRole('heading', { name: /^The craft is \d+ km away/ })).toBeVisible();
  await expect(page.getByTestId('board-title')).toHaveText('No signal');
  await page.getByRole('button', { name: 'Back to the bench' }).click();
  await expect(page.getByRole('heading', { name: 'The craft is on the bench' })).toBeVisible();
  await expect(page.getByTestId('board-title')).not.toHaveText('No signal');
});

test('a receiver is bound by the guide, and the record goes stale with the receiver', async ({ craft }) => {
  const page = await craft('sandpiper', 'air?part=bind');
  const steps = page.getByRole('radiogroup');
  await expect(page.getByRole('button', { name: 'Record this bind' })).toBeDisabled();
  for (let i = 0; i < (await steps.count()); i++) await steps.nth(i).getByRole('radio').first().check();
  await steps.nth(3).getByRole('radio').nth(1).check();
  await expect(page.getByText('hold the button before the power comes')).toBeVisible();
  await page.getByLabel('In your own words').nth(3).fill('green, three short');
  await page.getByLabel('Firmware of the module').fill('3.1');
  await page.getByRole('button', { name: 'Record this bind' }).click();
  await expect(page.getByText('not all as it should be')).toBeVisible();
  // What this receiver shows is said at the next bind.
  await expect(page.getByText('green, three short')).toBeVisible();
  await expect(page.getByLabel('In your own words')).toHaveCount(0);
  await page.getByRole('tab', { name: 'Link' }).click();
  await page
    .getByRole('group', { name: 'Receiver' })
    .getByLabel('Receiver number')
    .selectOption('00, shared by several craft');
  await page.getByRole('tab', { name: 'Bind' }).click();
  await expect(page.getByText('stale: changed since are the receiver')).toBeVisible();
});

test("a system of one's own is kept, its way to bind written, and what was seen leads the next time", async ({
  craft,
}) => {
  const page = await craft('wren', 'air?part=link');
  const name = `Shed link ${Date.now()}`;
  await page.getByRole('button', { name: 'Keep this link as a system' }).click();
  await page.getByLabel('What the system is called').fill(name);
  await page.getByRole('button', { name: 'Keep it', exact: true }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.getByLabel('Radio system').selectOption({ label: name });
  await page.getByRole('tab', { name: 'Bind' }).click();
  await page.getByRole('button', { name: 'Write down how it is bound' }).click();
  const steps = page.getByRole('listitem').filter({ has: page.getByLabel(/^What to do/) });
  while ((await steps.count()) > 1) await page.getByRole('button', { name: 'Remove step 1' }).click();
  await page.getByLabel('What to do, step 1').fill('Hold the pin down and connect the battery, propellers off.');
  await page.getByLabel('What is seen then, step 1').fill('A slow blink.');
  await page.getByRole('button', { name: 'Step', exact: true }).click();
  await page.getByRole('button', { name: 'Keep these steps' }).click();
  await expect(page.getByText('Hold the pin down and connect the battery')).toBeVisible();
  // The second step was left empty, and is none.
  await expect(page.getByRole('radiogroup')).toHaveCount(1);
  await page.getByRole('radio', { name: 'something else' }).check();
  await page.getByLabel('In your own words, for the next time').fill('It stays lit.');
  await page.getByRole('button', { name: 'Record this bind' }).click();
  await expect(page.getByText(/Seen on .*It stays lit\.$/)).toBeVisible();
});
