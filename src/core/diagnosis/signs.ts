import { evennessRead, LEAST_LINE_PERCENT, seenOf } from '../slice/reading';
import type { QuestionId } from '../tasting/questions';
import type { Departure, Ends } from './factors';

/** What has no factor of the models: when it was cut over when it could have been, and air that was shaped in. */
export interface Hand {
  /** ln of how long it cooled over how long it takes to firm; 0: just so; absent: it was not cut before. */
  readonly cut?: number;
  /** 0: none; 1: folded in so that a tunnel stays. */
  readonly air?: number;
}

/** What a card asks, of bread of the day and of the next; what instruments say; what the log says of how it was made. */
export type SignId =
  | `${'fresh' | 'nextDay'}.${QuestionId}`
  | `read.${'core' | 'lost' | 'doughC' | 'feel' | 'ovenC'}`
  | `mark.${number}`
  | `photo.${'porosity' | 'heightToWidth' | 'evenness' | 'tunnel' | 'denseLine'}`
  | `made.${'water' | 'binder' | 'salt' | 'leaven' | 'proof' | 'bake' | 'cut' | 'size'}`;

interface SignKind {
  /** How far one look is off, one sd; and how far this kitchen's eyes, thermometers and cameras are off for good. */
  readonly noise: number;
  readonly bias: number;
  /** How often it is simply wrong: a slip of the pen, a tick that was pressed though nothing went in. */
  readonly slip: number;
}

const SCORE: SignKind = { noise: 0.65, bias: 0.5, slip: 0.03 };
const KINDS: Readonly<Record<string, SignKind>> = {
  'read.core': { noise: 2, bias: 1.2, slip: 0.05 },
  'read.lost': { noise: 0.08, bias: 0.14, slip: 0.03 },
  'read.doughC': { noise: 1, bias: 0.8, slip: 0.03 },
  'read.feel': { noise: 0.07, bias: 0.06, slip: 0.03 },
  'read.ovenC': { noise: 8, bias: 3, slip: 0.03 },
  mark: { noise: 0.22, bias: 0.2, slip: 0.03 },
  'photo.porosity': { noise: 0.15, bias: 0.3, slip: 0.03 },
  'photo.heightToWidth': { noise: 0.07, bias: 0.12, slip: 0.03 },
  'photo.evenness': { noise: 0.1, bias: 0.12, slip: 0.03 },
  'photo.tunnel': { noise: 8, bias: 5, slip: 0.03 },
  'photo.denseLine': { noise: 3, bias: 2, slip: 0.03 },
  'made.water': { noise: 0.015, bias: 0, slip: 0.4 },
  'made.binder': { noise: 0.04, bias: 0, slip: 0.3 },
  'made.salt': { noise: 0.04, bias: 0, slip: 0.3 },
  'made.leaven': { noise: 0.05, bias: 0, slip: 0.3 },
  'made.size': { noise: 0.04, bias: 0, slip: 0.15 },
  'made.proof': { noise: 0.06, bias: 0, slip: 0.12 },
  'made.bake': { noise: 0.04, bias: 0, slip: 0.12 },
  'made.cut': { noise: 0.25, bias: 0, slip: 0.1 },
};
export const kindOf = (sign: SignId): SignKind => KINDS[sign] ?? KINDS[sign.split('.')[0]!] ?? SCORE;
export const isMade = (sign: SignId): boolean => sign.startsWith('made.');

/** Steps of the card for each doubling of a browning index about a golden crust. */
const GOLDEN = 4;
const colour = (index: number): number => 3 + Math.log(Math.max(0.02, index) / GOLDEN) / Math.log(4);
const above = (value: number): number => Math.max(0, value);

/** How little it was set: 0 well set, towards 1 raw. */
const rawness = ({ setMargin }: Ends): number => 1 / (1 + Math.exp((setMargin - 0.03) / 0.03));

/**
 * What a taster would say of such a bread, 1 … 5, not rounded. Craft judgement (docs/models.md): figures of ours, fitted to nothing; a kitchen's own
 * way of saying it is learnt as each sign's bias.
 *
 * @param written the same bread as the models have it when all goes as written: a batter is wet by design
 */
function saidOf(id: QuestionId, nextDay: boolean, written: Ends, ends: Ends, x: Departure, { cut, air = 0 }: Hand): number | null {
  const wetter = Math.log(ends.s / written.s);
  const wet = above(wetter - 0.02) + 0.35 * above(ends.s - 1.12);
  const dry = above(-wetter - 0.02);
  const tired = above(ends.tired - Math.min(written.tired, 0.25));
  const close = above(Math.min(0.75, written.ready) - ends.ready) / 0.4;
  const raw = rawness(ends);
  const dried = Math.log((ends.lost + 0.01) / (written.lost + 0.01));
  const coheres = (ends.holds + 0.05) / (written.holds + 0.05);
  const early = nextDay ? 0 : above(-(cut ?? 0));
  switch (id) {
    case 'height': return 1.2 + 7.5 * (ends.gas - 0.2) + 2.5 * Math.log(ends.heightMm / written.heightMm) - 1.2 * tired;
    case 'stand': return 4.2 - 7 * above(wetter) - 1.6 * tired - 1.6 * above(1 - coheres);
    case 'colourAbove': return colour(ends.brownTop);
    case 'colourBelow': return colour(ends.brownBase);
    case 'openness': return 1 + 1.9 * (ends.poreMm - 0.3);
    case 'evenness': return 1.4 + 3.6 * ends.evenness - 0.8 * air;
    case 'tunnels': return 4.4 - 2.6 * air - 1.5 * tired - 0.7 * close - 2 * wet;
    case 'denseLine': return 4.4 - 2.2 * raw - 6 * wet - 1.3 * close - 1.3 * above(-(x.plate ?? 0));
    case 'gumminess': return 4.4 - 2.9 * raw - 7 * wet - 1.9 * Math.min(1.3, early) - 0.35 * above(coheres - 1.15) * 4;
    case 'moistness': return 3 + 7 * wetter - 1.5 * dried + (nextDay ? -0.4 : 0) + 0.6 * raw;
    case 'bend': return (nextDay ? 3.6 : 4) - 9 * dry - 2.6 * above(1 - coheres) - 0.8 * above(dried) - 1.1 * tired;
    case 'crust': return 3 + 1.1 * Math.log((ends.crustMm + 0.3) / (written.crustMm + 0.3)) + 0.35 * Math.log((ends.brownTop + 0.2) / (written.brownTop + 0.2));
    case 'flavour': return 3.9 - 1.8 * Math.min(1.2, Math.abs(x.salt ?? 0)) - 0.9 * tired - 0.8 * above(x.leaven ?? 0) - 0.7 * raw - 0.5 * above(colour(ends.brownTop) - 4);
    case 'aftertaste': return 4 - 1.3 * above(x.leaven ?? 0) - 0.9 * tired - 0.5 * above(coheres - 1.3);
    case 'verdict': return null;
  }
} // prettier-ignore

/** What is to be seen of a bake that came out so; null: this sign says nothing of it. Logs and lengths as logarithms. */
export function expectedOf(sign: SignId, written: Ends, ends: Ends, x: Departure, hand: Hand): number | null {
  const [about, what = ''] = sign.split('.');
  switch (about) {
    case 'fresh':
    case 'nextDay': {
      const score = saidOf(what as QuestionId, about === 'nextDay', written, ends, x, hand);
      return score === null ? null : Math.min(5.2, Math.max(0.8, score));
    }
    case 'mark': {
      const grown = ends.marks[Number(what)];
      return grown === undefined ? null : Math.log(Math.max(0.02, grown - 0.95));
    }
    case 'read':
      if (what === 'core') return ends.coreC;
      if (what === 'lost') return Math.log(Math.max(0.005, ends.lost));
      if (what === 'doughC') return ends.doughC;
      return what === 'feel' ? Math.log(ends.s) : (x.ovenC ?? 0);
    case 'photo':
      if (what === 'porosity') return Math.log(Math.max(2, 100 * seenOf(ends.gas)));
      if (what === 'heightToWidth') return Math.log(ends.heightMm / ends.widthMm);
      if (what === 'evenness') return evennessRead(ends.evenness);
      return what === 'tunnel'
        ? 8 + 24 * (hand.air ?? 0) + 8 * above(ends.tired - written.tired)
        : LEAST_LINE_PERCENT + 9 * rawness(ends) + 25 * above(Math.log(ends.s / written.s));
    default:
      if (what === 'cut') return hand.cut ?? null;
      return x[what as keyof Departure] ?? 0;
  }
}
