import { wallField } from '../../src/core/day/dayEdit';
import type { OrdersDocument } from '../../src/core/orders/orderDocument';
import { checkNarrowAndDim, HOUR, kitchenOfOwn, laidOut, savedDay, toSlot, ZONE } from './dayKitchen';
import { awake, expect, test } from './kitchen';

const ROLLS = 'Pumpkin-seed supper rolls';

test('orders become a batch of the day, with its orders and labels; a week is left out; what must not be in it is said', async ({ page, baseURL }) => {
  const own = await kitchenOfOwn(page);
  const stored = async () => ((await (await page.request.get(`${own.api}/orders`)).json()) as { value: OrdersDocument }).value;
  await page.goto(`${own.at}/orders`);
  await awake(page);
  const readyMs = toSlot(Date.now() + 20 * HOUR);
  const take = async (who: string, pieces: string, fill: () => Promise<void>) => {
    await page.getByRole('button', { name: 'Take an order' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('For whom').fill(who);
    await dialog.locator('select').selectOption({ label: ROLLS });
    await dialog.getByRole('textbox', { name: 'Pieces' }).fill(pieces);
    await fill();
    await dialog.getByRole('button', { name: 'Take it' }).click();
    return dialog;
  };
  const at = (ms: number) => page.getByRole('dialog').getByLabel('Ready at').fill(wallField(ZONE, ms));

  // ten thousand, and a time that is over: said at once, and nothing is taken
  const dialog = await take('Fair', '10000', () => at(readyMs));
  await expect(dialog.getByRole('alert')).toHaveText('From 1 to 5000 pieces.');
  await dialog.getByRole('textbox', { name: 'Pieces' }).fill('12');
  await at(Date.now() - HOUR);
  await dialog.getByRole('button', { name: 'Take it' }).click();
  await expect(dialog.getByRole('alert')).toHaveText('That time is over already.');
  expect((await stored()).orders).toEqual([]);
  await at(readyMs);
  await dialog.getByRole('checkbox', { name: 'tree nuts' }).check();
  await dialog.getByRole('button', { name: 'Take it' }).click();
  await expect(dialog).toHaveCount(0);
  await expect(page.getByTestId('order-group')).toContainText('12 pieces and 1 spare');
  await take('Mill café', '6', () => at(readyMs));
  // standing: in this kitchen's week at the same time
  const wall = wallField(ZONE, readyMs);
  await take('Number nine', '4', async () => {
    const form = page.getByRole('dialog');
    await form.getByText('Every week').click();
    const weekday = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'][new Date(`${wall.slice(0, 10)}T12:00:00Z`).getUTCDay()]!;
    await form.getByRole('button', { name: `On ${weekday}`, exact: true }).click();
    if (weekday !== 'Sat') await form.getByRole('button', { name: 'On Sat', exact: true }).click();
    await form.getByLabel('At what time').fill(wall.slice(11, 16));
  });
  const group = page.getByTestId('order-group').filter({ hasText: 'Fair' });
  await expect(group).toContainText('22 pieces and 1 spare');
  await group.getByRole('button', { name: 'Leave Number nine out this time' }).click();
  await expect(group).toContainText('18 pieces and 1 spare');
  await expect(page.getByTestId('orders-save')).toHaveText('Saved');
  await expect.poll(async () => (await stored()).orders.map(({ pieces }) => pieces)).toEqual([12, 6, 4]);
  await checkNarrowAndDim(page, baseURL);

  await group.getByRole('button', { name: 'Onto the day' }).click();
  const batch = page.locator(`[data-batch="${ROLLS}"]`);
  await laidOut(page);
  await expect(batch.getByTestId('ordered-by')).toContainText('For 12 Fair, 6 Mill café.');
  expect((await savedDay(page, own)).batches[0]).toMatchObject({ batch: { mode: 'pieces', pieces: 19 }, orders: [{ who: 'Fair', pieces: 12 }, { who: 'Mill café', pieces: 6 }] });
  await expect(page.getByTestId('agenda')).toContainText('Ready: 12 Fair, 6 Mill café');

  await batch.getByRole('link', { name: 'Labels' }).click();
  const labels = page.getByTestId('label');
  await expect(labels).toHaveCount(2);
  await expect(labels.first()).toContainText('Fair: 12 pieces');
  await expect(labels.first()).toContainText('Check your local rule.');
  await page.getByText('pieces', { exact: true }).click();
  await expect(labels).toHaveCount(19);
  await checkNarrowAndDim(page, baseURL);
  // on the day it is not asked for again; the one left out still could be
  await page.goto(`${own.at}/orders`);
  await expect(page.getByTestId('order-group').filter({ hasText: 'Fair' })).toContainText('All of it is on the day.');
}); // prettier-ignore
