import { line, plainLoaf } from '../formula/testFormulas';
import { libraryBook, type KitchenEntry } from '../ingredients';
import { bookWith } from '../ingredients/bookWith';
import { ORDINARY_KITCHEN } from './ordinaryKitchen';
import { hasYeast, supposing } from './whatIf';

test('a starter of the baker’s own is a leaven to ask about, like the library’s', () => {
  const starter: KitchenEntry = {
    kind: 'blend', id: 'own-bubbles', name: 'Bubbles', alsoCalled: [], source: '', role: 'starter', densityGPerMl: null,
    parts: [{ ingredientId: 'sorghum-flour', massG: 100 }, { ingredientId: 'water', massG: 100 }],
  }; // prettier-ignore
  const merged = bookWith(libraryBook, [starter]);
  if (!merged.ok) throw new Error('no book');
  const wild = { ...plainLoaf(), stages: [{ ...plainLoaf().stages[0]!, lines: [line('own-bubbles', 150)] }] };
  expect([hasYeast(wild, merged.value), hasYeast(plainLoaf(), merged.value)]).toEqual([true, false]);
  const half = supposing({ type: 'yeast', factor: 0.5 }, wild, ORDINARY_KITCHEN, merged.value);
  expect(half.formula.stages[0]!.lines[0]!.massG).toBe(75);
});
