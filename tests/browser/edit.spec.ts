import { expect, test } from './fixtures';

test('board settings are edited in place, and a value that cannot be is refused and not saved', async ({ craft }) => {
  const page = await craft('gannet', 'board');
  const fault = page.getByRole('article').filter({ hasText: 'Left shoulder does not reach Arm' });
  await expect(fault).toBeVisible();
  await page.getByLabel('Arm watches').selectOption({ label: 'AUX 1 = channel 5' });
  await expect(fault).toHaveCount(0);
  await page.getByLabel('Arm is active from').fill('2200');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('The band must end above its start');
  // What was typed stays where it was typed, with the reason, until it is taken back.
  const from = page.getByLabel('Arm is active from');
  await expect(from).toHaveValue('2200');
  await expect(from).toHaveAttribute('aria-invalid', 'true');
  await expect(from).toHaveAccessibleDescription(/Not saved: The band must end above its start/);
  await from.press('Escape');
  await expect(from).toHaveValue('1700');
  await expect(from).toHaveAttribute('aria-invalid', 'false');
});

test('channels are edited in place and the path follows', async ({ craft }) => {
  const page = await craft('wren');
  await page
    .getByRole('button', { name: /ends −97.6/ })
    .nth(2)
    .click();
  await page.getByLabel('Low end').fill('-84');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('at-model')).toHaveText('1069.9µs');
  // A low end above the board's throttle-low limit never arms, and the finding says so.
  await expect(page.getByRole('article').filter({ hasText: 'The board never sees the throttle low' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('combobox', { name: 'Channel 8 takes' }).selectOption({ label: 'Right dial' });
  await expect(page.getByRole('button', { name: /^Saved, revision 3/ })).toBeVisible();
});

test('a fix that is pressed while the findings are renewed waits, and the focus stays', async ({ craft }) => {
  const page = await craft('wren');
  const card = (name: string) => page.getByRole('article').filter({ has: page.getByRole('heading', { name }) });
  const [first, second] = [card('Throttle lock is not enabled'), card('“Battery empty” does not say how low')];
  await expect(second).toBeVisible();
  // What is said of the next revision comes late.
  await page.route(/\/verdict\?|\/verdict$/, async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 1500));
    await route.continue();
  });
  await first.getByRole('button').first().press('Enter');
  await expect(page.locator('aside [aria-busy=true]')).toBeVisible();
  const fix = second.getByRole('button').first();
  await fix.press('Enter');
  await expect(fix).toBeFocused();
  await expect(second).toHaveCount(0);
  await expect(first).toHaveCount(0);
});
