import { bakeOfOwn, stepOf, tap } from './bakeOfOwn';
import { check } from './check';
import { awake, expect, test } from './kitchen';

test('who did what: two at one bake by name, handed over with a word, told in the list and in the record', async ({ page, context }) => {
  const own = await bakeOfOwn(page);
  const bench = `${own.at}/bench/${own.bake}`;
  const asWho = async (name: string, at = page) => {
    await at.getByRole('button', { name: 'More', exact: true }).click();
    await at.getByRole('menuitem', { name: /^(Who is here|Here:)/ }).click();
    const dialog = at.getByRole('dialog', { name: 'Who is at this bench?' });
    await dialog.getByLabel('Another name').fill(name);
    await dialog.getByRole('button', { name: 'Use' }).click();
    await expect(at.getByTestId('who')).toHaveText(name);
  };
  await page.goto(`${bench}?at=weigh`);
  await awake(page);
  await asWho('Imke');
  const target = page.getByTestId('target');
  const first = (await target.textContent()) ?? '';
  await page.getByRole('button', { name: 'In the bowl', exact: true }).click();
  await expect(target).not.toHaveText(first);
  // the same after a reload
  await page.reload();
  await awake(page);
  await expect(page.getByTestId('who')).toHaveText('Imke');
  // another at the same bake, who sees whose press it was
  const other = await context.browser()!.newPage({ baseURL: new URL(page.url()).origin });
  await other.goto(`${bench}?at=weigh`);
  await awake(other);
  await expect(other.getByTestId('undo-bar')).toContainText('Imke: ');
  await expect(other.getByRole('button', { name: 'Take it back' })).toHaveCount(0);
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Hand over' }).click();
  const dialog = page.getByRole('dialog', { name: 'Hand over' });
  await dialog.getByRole('button', { name: 'Hand over' }).click();
  await expect(dialog.getByText('Choose to whom.')).toBeVisible();
  await dialog.getByLabel('Another name').fill('Rowan');
  await dialog.getByRole('button', { name: 'Use' }).click();
  await dialog.getByLabel('What is to be known').fill('loaf into the fridge by nine');
  await check(page);
  await dialog.getByRole('button', { name: 'Hand over to Rowan' }).click();
  await expect(dialog).toHaveCount(0);
  const given = other.getByTestId('handed-over').filter({ visible: true });
  await expect(given).toContainText('For Rowan');
  await expect(given).toContainText('loaf into the fridge by nine');
  await other.goto(own.at);
  await awake(other);
  await expect(other.getByTestId('first-call')).toContainText('with Rowan');
  await other.goto(`${bench}?at=weigh`);
  await awake(other);
  await given.getByRole('button', { name: 'I am Rowan' }).click();
  await expect(other.getByTestId('who')).toHaveText('Rowan');
  await expect(given).toContainText('loaf into the fridge by nine');
  await check(other);
  await other.getByRole('button', { name: 'In the bowl', exact: true }).click();
  await expect(given).toHaveCount(0);
  await expect(page.getByTestId('handed-over')).toHaveCount(0);
  const log = async () =>
    ((await (await page.request.get(`${own.api}/bakes/${own.bake}?after=0`)).json()) as { events: { by?: string; action: { type: string } }[] }).events.map(({ by, action }) => `${by} ${action.type}`);
  await expect.poll(log).toEqual(['Imke weighed', 'Imke handedOver', 'Rowan weighed', 'Rowan timerStarted']);
  const mix = await stepOf(page, own, 'mix');
  await tap(page, own, { type: 'stepDone', stepId: mix }, { type: 'abandoned', reason: 'a test' });
  await other.close();
  await page.goto(`${own.at}/logbook/${own.bake}`);
  await expect(page.getByTestId('hands')).toHaveText('By Imke (2), Rowan (2)');
  await expect(page.getByText('Handed over to Rowan: loaf into the fridge by nine')).toBeVisible();
  await check(page);
}); // prettier-ignore
