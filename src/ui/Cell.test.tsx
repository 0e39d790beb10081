import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { Cell } from './Cell';

function Grams() {
  const [massG, setMassG] = useState(400);
  return (
    <>
      <Cell
        label="Water"
        value={String(massG)}
        onType={(text) => {
          const typed = Number(text);
          if (!(typed > 0)) return 'More than nothing.';
          setMassG(typed);
          return null;
        }}
      />
      <output>{massG}</output>
    </>
  );
}

test('answers as you type, keeps what it cannot take in sight with the reason, and Escape brings the old value back', async () => {
  const user = userEvent.setup();
  render(<Grams />);
  const cell = screen.getByRole('textbox', { name: 'Water' });
  await user.click(cell);
  await user.keyboard('42');
  expect(screen.getByRole('status')).toHaveTextContent('42');
  await user.clear(cell);
  await user.type(cell, '-5');
  expect(cell).toHaveValue('-5');
  expect(cell).toBeInvalid();
  expect(screen.getByRole('alert')).toHaveTextContent('More than nothing.');
  expect(screen.getByRole('status')).toHaveTextContent('42');
  await user.tab();
  expect(cell).toHaveValue('-5');
  await user.click(cell);
  await user.keyboard('{Escape}');
  expect(cell).toHaveValue('42');
  expect(screen.queryByRole('alert')).toBeNull();
});

test('what was on the way to a refused text is put back, by refusal and by Escape', async () => {
  function Pieces() {
    const [pieces, setPieces] = useState(12);
    return (
      <>
        <Cell
          label="Pieces"
          value={String(pieces)}
          onType={(text) => {
            if (!/^[1-9]\d?$/.test(text)) return 'One to ninety-nine.';
            setPieces(Number(text));
            return null;
          }}
          restore={() => setPieces(pieces)}
        />
        <output>{pieces}</output>
      </>
    );
  }
  const user = userEvent.setup();
  render(<Pieces />);
  const cell = screen.getByRole('textbox', { name: 'Pieces' });
  await user.click(cell);
  await user.keyboard('45');
  expect(screen.getByRole('status')).toHaveTextContent('45');
  await user.keyboard('6');
  expect(screen.getByRole('status')).toHaveTextContent('12');
  await user.keyboard('{Backspace}');
  expect(screen.getByRole('status')).toHaveTextContent('45');
  await user.keyboard('{Escape}');
  expect(screen.getByRole('status')).toHaveTextContent('12');
  expect(cell).toHaveValue('12');
});

test('a text nobody can read yet waits without complaint, is read once its reader is there, and the newest text wins', async () => {
  const user = userEvent.setup();
  let arrive = () => {};
  let words: Record<string, number> | null = null;
  const coming = new Promise<void>((resolve) => (arrive = resolve));
  function Cups() {
    const [massG, setMassG] = useState(400);
    return (
      <>
        <Cell
          label="Water"
          value={String(massG)}
          later={() => (words ? null : coming)}
          onType={(text) => {
            const grams = words?.[text] ?? Number(text);
            if (!(grams > 0)) return `What is ${text}?`;
            setMassG(grams);
            return null;
          }}
          restore={() => setMassG(massG)}
        />
        <output>{massG}</output>
      </>
    );
  }
  render(<Cups />);
  const cell = screen.getByRole('textbox', { name: 'Water' });
  await user.type(cell, 'two cups{Enter}', { initialSelectionStart: 0, initialSelectionEnd: 3 });
  expect(cell).toHaveValue('two cups');
  expect(cell).toBeValid();
  expect(screen.getByRole('status')).toHaveTextContent('400');
  words = { 'two cups': 473 };
  arrive();
  await waitFor(() => expect(cell).toHaveValue('473'));
  expect(screen.getByRole('status')).toHaveTextContent('473');

  words = null;
  await user.type(cell, 'a fortnight', { initialSelectionStart: 0, initialSelectionEnd: 3 });
  expect(await screen.findByRole('alert')).toHaveTextContent('What is a fortnight?');
  expect(cell).toHaveValue('a fortnight');
  expect(screen.getByRole('status')).toHaveTextContent('473');
});
