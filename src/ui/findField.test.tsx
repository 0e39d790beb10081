import { act, fireEvent, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { FindField } from './FindField';

test('it asks a moment after the last key; a late answer takes nothing typed away; the way back is followed', async () => {
  const found: string[] = [];
  const field = (value: string) => (
    <FindField label="Find" value={value} onFind={(text) => found.push(text)} />
  );
  const { rerender } = render(field(''));
  const box = screen.getByRole('searchbox');
  const press = (keys: string) => act(() => userEvent.type(box, keys));
  await press('old{Enter}');
  await press(' yeast{Enter}');
  expect(found).toEqual(['old', 'old yeast']);
  await press('!');
  // the page of the first words comes only now
  rerender(field('old'));
  expect(box).toHaveValue('old yeast!');
  rerender(field('old yeast'));
  expect(box).toHaveValue('old yeast!');
  await waitFor(() => expect(found).toEqual(['old', 'old yeast', 'old yeast!']));
  rerender(field('old yeast!'));
  rerender(field(''));
  expect(box).toHaveValue('');
  // who leaves it before the pause is over has asked by then, and is asked nothing later
  jest.useFakeTimers();
  fireEvent.change(box, { target: { value: 'rings' } });
  fireEvent.blur(box);
  expect(found.slice(3)).toEqual(['rings']);
  act(() => jest.advanceTimersByTime(1000));
  expect(found.slice(3)).toEqual(['rings']);
  jest.useRealTimers();
});
