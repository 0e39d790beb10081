/** Figures by where they stand: `formulas.Millet 2.run.bake.endS`. Numbers to six places, which is more than any model knows. */
export type Figures = Readonly<Record<string, string | number | boolean | null>>;

/** Of a curve every fifth point tells as much. */
const isCurve = (list: readonly unknown[]): boolean =>
  list.length > 20 && list.every((each) => typeof each === 'number');

export function flatten(value: unknown, path = '', into: Record<string, Figures[string]> = {}): Figures {
  const inside = (key: string | number) => (path ? `${path}.${key}` : String(key));
  if (value instanceof Map) flatten(Object.fromEntries(value), path, into);
  else if (value instanceof Set) flatten([...value], path, into);
  else if (Array.isArray(value))
    value.forEach((each, index) => {
      if (!isCurve(value) || index % 5 === 0 || index === value.length - 1)
        flatten(each, inside(index), into);
    });
  else if (typeof value === 'object' && value !== null)
    for (const [key, each] of Object.entries(value)) flatten(each, inside(key), into);
  else if (typeof value === 'number')
    into[path] = Number.isFinite(value) ? Number(value.toPrecision(6)) : String(value);
  else if (value !== undefined) into[path] = value as Figures[string];
  return into;
}

/** A figure of a whole formula may be off by this share of itself before it counts as another. */
const TOLERANCE = 0.005;
/** Nothing is weighed, timed or measured finer than this, in whatever unit. */
const FINEST = 1e-4;

const same = (was: Figures[string], is: Figures[string], share: number, finest: number): boolean =>
  typeof was === 'number' && typeof is === 'number'
    ? Math.abs(was - is) <= Math.max(finest, share * Math.max(Math.abs(was), Math.abs(is)))
    : was === is;

export interface Difference {
  readonly path: string;
  /** Undefined: was not there. */
  readonly was: Figures[string] | undefined;
  /** Undefined: is not there any more. */
  readonly is: Figures[string] | undefined;
}

/** @param share a figure may be off by this share of itself, and anything by `finest` */
export function differences(was: Figures, is: Figures, share = TOLERANCE, finest = FINEST): Difference[] {
  return [...new Set([...Object.keys(was), ...Object.keys(is)])].flatMap((path) => {
    const [before, now] = [was[path], is[path]];
    if (before !== undefined && now !== undefined && same(before, now, share, finest)) return [];
    return [{ path, was: before, is: now }];
  });
}

export const wordDifference = ({ path, was, is }: Difference): string => {
  const change =
    typeof was === 'number' && typeof is === 'number' && was !== 0
      ? ` (${is > was ? '+' : ''}${((100 * (is - was)) / Math.abs(was)).toFixed(2)} %)`
      : '';
  return `${path}: ${JSON.stringify(was) ?? 'not there'} → ${JSON.stringify(is) ?? 'gone'}${change}`;
};
