import type { AbsorptionLearnt } from '@/core/consistency';
import type { RiseLearning } from '@/core/fermentation';
import { measureLearnt, type MeasureLearnt } from '@/core/quantity';
import { listTaughtFormulas } from '@/db/queries/bakeCards';
import { loadAbsorption } from './absorption';
import type { Context } from './context';
import { learnSlice, type SliceLearning } from '@/core/slice';
import { cutsOf } from './cutsRead';
import { learntOf, loadAround, loadJars, MOST_BAKES } from './learnt';

/** What bakes have taught the models of a kitchen. */
export interface Taught {
  readonly powders: readonly (AbsorptionLearnt & { readonly name: string; readonly lot: string | null })[];
  readonly jars: readonly {
    readonly lotId: string;
    readonly name: string;
    readonly vigour: RiseLearning['learnt']['vigour'];
    readonly marks: number;
  }[];
  readonly formulas: readonly {
    readonly formulaId: string;
    readonly name: string;
    /** Bakes in which its rise was marked, newest first. */
    readonly bakeIds: readonly string[];
    /** Null: of none of them the models learn. */
    readonly learning: RiseLearning | null;
  }[];
  readonly slices: readonly {
    readonly formulaId: string;
    readonly name: string;
    readonly bakeIds: readonly string[];
    readonly learning: SliceLearning | null;
  }[];
  readonly ovens: readonly {
    readonly name: string;
    readonly offsetC: number;
    readonly offsetSdC: number;
    readonly traces: number;
  }[];
  /** Its own cups and scoops, by the weights of their fillings. */
  readonly measures: readonly (MeasureLearnt & { readonly name: string | null })[];
}

const MOST_FORMULAS = 40;

/** Nobody looks at an empty page for longer. */
const WAIT_MS = 4000;

/** The same, where it is there soon; null: it is still being computed, goes on whether anybody waits or not, and is stored as it comes. */
export async function taughtSoon(context: Context): Promise<Taught | null> {
  const work = taughtHere(context);
  // where it fails later, whoever asks next is told
  work.catch(() => undefined);
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<null>((resolve) => (timer = setTimeout(resolve, WAIT_MS, null)));
  try {
    return await Promise.race([work, late]);
  } finally {
    clearTimeout(timer);
  }
}

/** What was learnt here, before and after, and from how much. */
export async function taughtHere(context: Context): Promise<Taught> {
  const most = { most: MOST_FORMULAS, mostBakes: MOST_BAKES };
  const [around, powders, jars, marked, cut, { entries }] = await Promise.all([
    loadAround(context),
    loadAbsorption(context),
    loadJars(context),
    listTaughtFormulas(context.pool, context.kitchen.id, 'rises', most),
    listTaughtFormulas(context.pool, context.kitchen.id, 'cuts', most),
    context.larder(),
  ]);
  const ofCut = cut.map(({ formulaId }) => formulaId);
  const all = [...new Set([...marked.map(({ formulaId }) => formulaId), ...ofCut])];
  const learnt = await learntOf(context, all, around);
  const cuts = await cutsOf(context, ofCut, around, learnt);
  const lotName = (id: string): string => {
    const entry = entries.find((each) => each.id === id)?.entry;
    return entry?.kind === 'lot' ? entry.code : id;
  };
  return {
    powders: powders.map((each) => ({
      ...each,
      name: around.book.get(each.ingredientId)?.name ?? each.ingredientId,
      lot: each.lotId && lotName(each.lotId),
    })),
    jars: jars.map((jar) => ({ ...jar, name: lotName(jar.lotId) })),
    formulas: marked.map((each) => ({ ...each, learning: learnt.get(each.formulaId)?.learning ?? null })),
    slices: cut.map((each) => ({ ...each, learning: learnSlice(cuts.get(each.formulaId)?.cuts ?? []) })),
    ovens: around.kit.ovens.flatMap(({ name, fitted }) =>
      fitted ? [{ name, offsetC: fitted.offsetC, offsetSdC: fitted.offsetSdC, traces: fitted.traces }] : [],
    ),
    measures: around.kit.measures.map((own) => {
      const of = around.book.get(own.ingredientId ?? 'water') ?? null;
      return { ...measureLearnt(own, of), name: own.ingredientId && (of?.name ?? own.ingredientId) };
    }),
  };
}
