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

test('another format is chosen, and a recording takes the setup back to what the wire speaks', async ({
  app,
  craft,
  request,
}) => {
  const recording = await request.get(`${app.address}/api/setups/wren/recording?format=csv`);
  const page = await craft('wren', 'wire');
  await page.getByLabel('The receiver speaks').selectOption('Duplex packets · 16 channels');
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
  await page.getByLabel('Channels', { exact: true }).fill('8');
  await page.getByLabel('Channels', { exact: true }).press('Enter');
  await expect(page.getByRole('heading', { name: /planned, 8 get to the board/ })).toBeVisible();
  await expect(page.getByText('does not arrive').first()).toBeVisible();
});
