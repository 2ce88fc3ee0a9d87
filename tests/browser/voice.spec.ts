import { expect, test } from './fixtures';

test('a value is asked for by a switch, waits for its turn, and is said to be lost once, with the keyboard', async ({
  craft,
}) => {
  const page = await craft('gannet', 'model?part=ready-made&chain=spoken-on-switch');
  await page.getByRole('combobox', { name: 'While' }).selectOption({ label: 'Right back' });
  await page.getByLabel('It speaks').selectOption({ label: "Flight battery: the flight battery's voltage" });
  await page.getByRole('button', { name: 'Build it' }).press('Enter');
  await expect(page.getByText('Built.')).toBeVisible();
  await page.getByRole('link', { name: /^Return/ }).press('Enter');
  await page.getByRole('tab', { name: 'Voice' }).click();
  const values = page.getByRole('region', { name: /^Values/ });
  await expect(values).toContainText('“Flight battery” and Flight battery');
  await expect(values).toContainText('every 4 s');
  await expect(page.getByRole('region', { name: /^Alarms/ })).toContainText('Signal weak');
  const log = page.getByRole('log');
  await page
    .getByRole('group', { name: /^Right back/ })
    .getByRole('button')
    .last()
    .press('Enter');
  await expect(log).toContainText('“Flight battery 25.2 volts”');
  await page.keyboard.press('Control+.');
  await page.keyboard.press('l');
  await expect(log).toContainText('“Signal lost”', { timeout: 15_000 });
  await expect(log).toContainText('“Flight battery lost”', { timeout: 15_000 });
  // A word takes longer: so does what is said.
  await page.getByLabel('A word takes').fill('600');
  await page.getByLabel('A word takes').press('Enter');
  await expect(page.getByRole('article').filter({ hasText: 'is said again before it has been spoken' })).toHaveCount(1);
});

test('a tone sounds before what is announced, with its pitch', async ({ craft }) => {
  const page = await craft('gannet', 'model?part=logic');
  await page.evaluate(() => {
    const sounded: number[] = [];
    Object.assign(window, { sounded });
    speechSynthesis.speak = () => undefined;
    AudioParam.prototype.linearRampToValueAtTime = function (value) {
      sounded.push(value);
      return this;
    };
  });
  await page.getByRole('button', { name: 'Change: “Armed”' }).press('Enter');
  await page.getByRole('combobox', { name: 'after', exact: true }).selectOption({ label: 'a rising tone' });
  await expect(page.getByText('after a rising tone tells')).toBeVisible();
  await page.getByRole('button', { name: 'Voice', exact: true }).press('Enter');
  await page.keyboard.press('Control+.');
  await page.keyboard.press('1');
  await expect(page.getByRole('log')).toContainText('“Armed”');
  await expect.poll(() => page.evaluate(() => (window as unknown as { sounded: number[] }).sounded)).toEqual([1320]);
});

test('a burst sags, a unit takes its limits along, and a search is ended, with the keyboard', async ({ craft }) => {
  const page = await craft('sandpiper', 'return?part=battery');
  await page.getByRole('button', { name: 'Burst of full throttle' }).press('Enter');
  await expect(page.getByText(/^\d{2,3}(\.\d)? A · /)).toBeVisible();
  await expect(page.getByText(/^0\.4 A · /)).toBeVisible({ timeout: 15_000 });
  await page.getByRole('tab', { name: 'Sensors' }).click();
  await page.getByRole('button', { name: 'Change: Distance home' }).press('Enter');
  await page.getByLabel('Unit').selectOption('ft');
  await expect(page.getByText('0 to 4921.3 ft, page 2')).toBeVisible();
  await page.getByRole('tab', { name: 'Search' }).click();
  await page.getByRole('button', { name: 'I have begun a search' }).press('Enter');
  const running = page.getByRole('article').filter({ hasText: 'The search for sensors was not ended' });
  await expect(running).toBeVisible();
  await page.getByText('Type or paste what it lists').press('Enter');
  await page.getByLabel('One sensor a line').fill('Quality 98 %\nStrength -60 dBm\nPack 25.2 V\nFuel');
  await page.getByRole('button', { name: 'Read the list' }).press('Enter');
  await expect(page.getByText('3 of these should be there; not known here: Fuel.')).toBeVisible();
  await expect(page.getByRole('heading', { name: /^Found 3 of 10/ })).toBeVisible();
  await page.getByLabel('power from USB alone').press('Space');
  await expect(
    page
      .getByRole('region', { name: /^Found 3/ })
      .getByRole('listitem')
      .first(),
  ).toContainText('USB alone');
  await page.getByRole('button', { name: 'I have ended the search' }).press('Enter');
  await expect(running).toHaveCount(0);
});
