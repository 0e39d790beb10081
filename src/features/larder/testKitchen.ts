/** What the larder’s tests share: a jar of the kitchen, and a server that answers as it is told. */
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { BlendEntry, StoredEntry } from '@/core/ingredients';
import type { SaveIngredient } from '@/core/requests';

/** A server that keeps what it is sent, or answers as it is told. */
export function server(answers: { status: number; body: unknown }[] = []) {
  const sent: SaveIngredient[] = [];
  global.fetch = jest.fn((_path: string, init?: { body?: string }) => {
    if (init?.body) sent.push(JSON.parse(init.body) as SaveIngredient);
    const { status, body } = answers.shift() ?? { status: 201, body: {} };
    return Promise.resolve({ ok: status < 300, status, json: () => Promise.resolve(body) } as Response);
  }) as unknown as typeof fetch;
  return sent;
}
export async function put(name: string, text: string) {
  const field = screen.getByRole('textbox', { name });
  await userEvent.clear(field);
  if (text) await userEvent.paste(text);
}
export const keep = () => userEvent.click(screen.getByRole('button', { name: 'Save it' }));
export const jar: BlendEntry = {
  kind: 'blend', id: 'own-jar', name: 'House jar', alsoCalled: ['the jar'], source: '', role: 'flour', densityGPerMl: null,
  parts: [{ ingredientId: 'white-rice-flour', massG: 600 }, { ingredientId: 'tapioca-starch', massG: 400 }],
}; // prettier-ignore
export const stored = (entry: StoredEntry['entry'], version = 1): StoredEntry => ({
  id: entry.id,
  version,
  away: false,
  entry,
});

export const NOTHING_LEARNT = { learnt: [], jars: [] };
