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
