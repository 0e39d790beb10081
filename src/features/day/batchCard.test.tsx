import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { DayBatchDocument } from '@/core/day/dayDocument';
import type { DayEdit } from '@/core/day/dayEdit';
import type { BatchView, DayView } from '@/core/day/dayView';
import { AS_WRITTEN } from '@/core/day/levers';
import { show } from '../testKitchen';
import { BatchCard } from './BatchCard';
import { DayProvider } from './DayContext';

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: jest.fn() }) }));

const NOW_MS = Date.parse('2026-11-28T10:00:00Z');
const at = (clock: string) => Date.parse(`2026-11-28T${clock}:00Z`);
const batch: DayBatchDocument = {
  id: '0d2f6c1a-5b1e-4c7a-9d8e-1f2a3b4c5d6e', formulaId: '6a1f3c0e-7a55-4b8e-9d64-0f4f3c5f1a01', revision: 1, name: 'Knots',
  batch: { mode: 'factor', factor: 1, pieceMassG: 60, bowlLossPercent: 0 },
  ready: { fromMs: at('18:00'), toMs: at('18:00') }, levers: [], ovenIds: [], variantId: '', at: {}, pins: {}, progress: {}, bakeId: null,
}; // prettier-ignore
const view: BatchView = {
  id: batch.id, variantId: '', lever: AS_WRITTEN, blocks: [], readyMs: at('18:00'), likely: { fromMs: at('17:58'), toMs: at('18:20'), chance: 0.57 },
  collision: null, surer: { spareMin: 30, chance: 0.96 }, short: null, fromJar: null, softens: null,
}; // prettier-ignore

function card(made: DayBatchDocument, found: BatchView | null, final: boolean) {
  const edits: DayEdit[] = [];
  const edit = (each: DayEdit) => {
    edits.push(each);
    return null;
  };
  const value = { day: { batches: [made], lit: [] }, view: { final } as DayView, ovens: [{ id: 'deck', name: 'Deck oven' }], nowMs: NOW_MS, edit };
  show(<DayProvider value={value}><ul><BatchCard batch={made} laid={found} /></ul></DayProvider>);
  return edits;
} // prettier-ignore

test('a promise that is not sure says so, and how much sooner would make it so: a press', async () => {
  const edits = card(batch, view, true);
  expect(screen.getByTestId('day-batch')).toHaveTextContent('57 of 100 such days keep the promise');
  await userEvent.click(screen.getByRole('button', { name: /ready 30 min sooner.*96 of 100/ }));
  expect(edits).toEqual([{ type: 'spare', batchId: batch.id, spareMin: 30 }]);
});

test('planned sooner it says by how much, and can be let be', async () => {
  const edits = card({ ...batch, spareMin: 30 }, { ...view, surer: null }, true);
  expect(screen.getByTestId('day-batch')).toHaveTextContent('Planned to be ready 30 min sooner');
  await userEvent.click(screen.getByRole('button', { name: 'As late as it can be' }));
  expect(edits).toEqual([{ type: 'spare', batchId: batch.id, spareMin: null }]);
});

test('while a place is looked for it lies where it lay, and nobody is told that it has none', () => {
  card(batch, null, false);
  expect(screen.getByTestId('day-batch')).toHaveTextContent('Looking for its place');
  expect(screen.getByTestId('day-batch')).not.toHaveTextContent('no place');
});

test('none found is said once all has been looked through; ways out tell taste and how sure they are', async () => {
  const waysOut = [
    { kind: 'lever', variantId: 'yeast 0.5', lever: { ...AS_WRITTEN, yeast: 0.5 }, tasteCost: 2, startMs: at('11:40'), chance: 0.8 },
    { kind: 'oven', ovenId: 'deck', chance: 0.91 },
  ] as const;
  const edits = card(batch, { ...view, readyMs: null, likely: null, surer: null, collision: { lateMs: null, cause: { kind: 'time' }, waysOut } }, true);
  expect(screen.getByTestId('day-batch')).toHaveTextContent('It finds no place');
  await userEvent.click(screen.getByRole('button', { name: /50 % of the yeast; begin 11:40.*hardly tasted; in time on 80 of 100/ }));
  await userEvent.click(screen.getByRole('button', { name: /Deck oven.*91 of 100/ }));
  expect(edits).toEqual([
    { type: 'levers', batchId: batch.id, levers: ['yeast'] },
    { type: 'ovens', batchId: batch.id, ovenIds: ['deck'] },
  ]);
}); // prettier-ignore
