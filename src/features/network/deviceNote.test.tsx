import { act, render, screen } from '@testing-library/react';
import type { DeviceMay } from '@/core/network/pairedDevice';
import { answeredPaired } from '../asking/pairing';
import { KitchenProvider } from '../kitchen/KitchenProvider';
import { DeviceNote } from './DeviceNote';

test('what a device may not do is said before it is pressed; that it may nothing any more, on the page that is open', () => {
  const note = (may: DeviceMay | undefined, atBench: boolean) => {
    const { unmount } = render(<KitchenProvider address="mill" {...(may && { may })}><DeviceNote atBench={atBench} /></KitchenProvider>);
    const shown = screen.queryByRole('status')?.textContent ?? null;
    unmount();
    return shown;
  };
  expect([note(undefined, false), note('all', false), note('bench', true)]).toEqual([null, null, null]);
  expect([note('look', true), note('look', false)]).toEqual(Array(2).fill(expect.stringContaining('only look on')));
  expect(note('bench', false)).toContain('bakes here');
  render(<KitchenProvider address="mill"><DeviceNote atBench /></KitchenProvider>);
  act(() => answeredPaired(false));
  expect(screen.getByRole('status')).toHaveTextContent('not paired');
  expect(screen.getByRole('link', { name: 'Pair it anew' })).toHaveAttribute('href', '/pair');
  act(() => answeredPaired(true));
  expect(screen.queryByRole('status')).toBeNull();
}); // prettier-ignore
