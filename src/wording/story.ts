import { never } from '@/core/result';
import type { Turn } from '@/core/story';
import { formatDecimal, formatDurationRange } from '@/core/units';
import { BAND_WORD } from './bands';
import { SHAPE_WORD } from './run';
import { STEP_WORD, STYLE_WORD } from './words';

const share = (percent: number): string => formatDecimal(percent, percent < 10 ? 2 : 1);

interface Words {
  readonly nameOf: (id: string) => string;
  readonly mass: (massG: number) => string;
  readonly temperature: (tempC: number) => string;
}

function stepWords(
  { change, step, before }: Extract<Turn, { kind: 'step' }>,
  { temperature }: Words,
): string {
  const name = step.title
    ? `${STEP_WORD[step.kind].toLowerCase()} (${step.title})`
    : STEP_WORD[step.kind].toLowerCase();
  const time = (of: typeof step | null) =>
    of?.minS == null ? 'no time' : formatDurationRange(of.minS, of.maxS);
  const heat = (of: typeof step | null) => (of?.tempC == null ? 'no temperature' : temperature(of.tempC));
  switch (change) {
    case 'new':
      return `new step: ${name}`;
    case 'gone':
      return `step left out: ${name}`;
    case 'time':
      return `${name} ${time(before)} → ${time(step)}`;
    case 'heat':
      return `${name} ${heat(before)} → ${heat(step)}`;
    case 'around':
      return `${name}: another place, cover, plate or load`;
    case 'words':
      return `${name}: other words`;
    default:
      return never(change);
  }
}

/** One turn of the story: "water 78 → 82 %", "psyllium husk came in, 4 %". */
export function wordTurn(turn: Turn, words: Words): string {
  const { nameOf, mass } = words;
  const name = (id: string) => nameOf(id).toLowerCase();
  switch (turn.kind) {
    case 'share':
      return `${name(turn.ingredientId)} ${share(turn.from)} → ${share(turn.to)} %`;
    case 'came':
      return `${name(turn.ingredientId)} came in, ${turn.percent === null ? mass(turn.massG) : `${share(turn.percent)} %`}`;
    case 'went':
      return `${name(turn.ingredientId)} went out (${turn.percent === null ? mass(turn.massG) : `${share(turn.percent)} %`})`;
    case 'hydration':
      return `all water ${formatDecimal(turn.from, 1)} → ${formatDecimal(turn.to, 1)} %`;
    case 'size':
      return turn.factor > 1
        ? `${formatDecimal(turn.factor, 2)} × the size`
        : `made smaller, × ${formatDecimal(turn.factor, 2)}`;
    case 'band':
      return `${BAND_WORD[turn.from].name.toLowerCase()} → ${BAND_WORD[turn.to].name.toLowerCase()} after its rest`;
    case 'style':
      return `${STYLE_WORD[turn.from].toLowerCase()} → ${STYLE_WORD[turn.to].toLowerCase()}`;
    case 'name':
      return `called “${turn.to}”, before “${turn.from}”`;
    case 'step':
      return stepWords(turn, words);
    case 'yield':
      return 'other usual pieces';
    case 'ways':
      return turn.ways > 1 ? `parts into ${turn.ways} breads` : 'all of it one bread';
    case 'bakedAs':
      return turn.shape ? `baked as: ${SHAPE_WORD[turn.shape].toLowerCase()}` : 'another tin, oven or load';
    case 'words':
      return 'order, notes or words';
    default:
      return never(turn);
  }
}
