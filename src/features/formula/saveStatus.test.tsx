import { screen } from '@testing-library/react';
import { show } from '../testKitchen';
import { SaveStatus } from './SaveStatus';
import type { SaveState } from '../queue/saver';

test.each<[SaveState, string]>([
  [{ kind: 'saved', revision: 4, savedAtMs: Date.UTC(2026, 10, 19, 5, 7) }, 'Saved 05:07 · version 4'],
  [{ kind: 'saved', revision: 1, savedAtMs: 0 }, 'Version 1'],
  [{ kind: 'waiting' }, 'Saving …'],
  [{ kind: 'saving' }, 'Saving …'],
  [{ kind: 'unreachable', full: false }, 'No answer: saved in this browser, trying again'],
  [{ kind: 'unreachable', full: true }, 'The disk is full: saved in this browser, trying again'],
  [
    { kind: 'held', problems: [{ code: 'tooWet', path: 'massG', params: { percent: 900, max: 400 } }] },
    'Not saved yet. That makes the water 900 % of the flours; 400 % is the most.',
  ],
  [
    { kind: 'refused', why: 'broken' },
    'Not saved: the server did not take it. Your typing is safe in this browser.',
  ],
  [{ kind: 'conflict', revision: 5, savedAtMs: 0 }, 'Not saved: see above'],
])('%j reads as %j', (save, words) => {
  show(<SaveStatus save={save} />);
  expect(screen.getByRole('status')).toHaveTextContent(words);
});
