/** Fractions that spoons and cups are made for; ⅓ and ⅔ among them. */
const PARTS: readonly (readonly [number, string])[] = [
  [0, ''],
  [1 / 8, '⅛'],
  [1 / 4, '¼'],
  [1 / 3, '⅓'],
  [3 / 8, '⅜'],
  [1 / 2, '½'],
  [5 / 8, '⅝'],
  [2 / 3, '⅔'],
  [3 / 4, '¾'],
  [7 / 8, '⅞'],
  [1, ''],
];

/** "1 ½", "⅓", "12": as cups and spoons are counted, to the nearest eighth or third; a little of one is "a little under ⅛". */
export function wordCount(count: number): string {
  if (count >= 20) return String(Math.round(count));
  const whole = Math.floor(count);
  const rest = count - whole;
  let best = PARTS[0]!;
  for (const part of PARTS) if (Math.abs(part[0] - rest) < Math.abs(best[0] - rest)) best = part;
  const full = best[0] === 1 ? whole + 1 : whole;
  if (full === 0 && best[1] === '') return 'a little under ⅛';
  return [full > 0 ? String(full) : '', best[1]].filter(Boolean).join(' ');
}

const PLURAL: Readonly<Record<string, string>> = { cup: 'cups', packet: 'packets', tin: 'tins', pinch: 'pinches', stick: 'sticks', cube: 'cubes', piece: 'pieces', handful: 'handfuls' }; // prettier-ignore

/** Measures as they were said, scaled: "1 ½ cups less 1 tbsp", "3 large". */
export function wordCounts(counts: readonly { readonly count: number; readonly measure: string }[]): string {
  return counts
    .map(({ count, measure }, index) => {
      const many = Math.abs(count);
      const word = many > 1 ? (PLURAL[measure] ?? measure) : measure;
      const text = `${wordCount(many)} ${word}`;
      if (index === 0) return text;
      return count < 0 ? `less ${text}` : `and ${text}`;
    })
    .join(' ');
}
