import type { PlateKind, TinKind } from '../method/heating';

/** Something flat that pieces lie on, cm; a round one is as long as it is wide. */
export interface Surface {
  readonly lengthCm: number;
  readonly widthCm: number;
  readonly round: boolean;
}

/**
 * What a kitchen has room for, as far as anybody has measured it: what is null or empty is not known, and no load is made up of it.
 */
export interface Room {
  /** Of the oven that is used: its floor, and how many shelves of it bake at once. */
  readonly oven: { readonly floor: Surface | null; readonly shelves: number };
  /** Trays, stones and the like that were measured, each with how many there are. */
  readonly plates: readonly { readonly kind: PlateKind; readonly surface: Surface; readonly count: number }[];
  readonly tins: readonly {
    readonly kind: TinKind;
    readonly lengthCm: number;
    readonly widthCm: number;
    readonly count: number;
  }[];
  /** Across the water, the pan, the oil, cm. */
  readonly kettleCm: number | null;
  readonly panCm: number | null;
  readonly fryerCm: number | null;
  readonly oilLitres: number | null;
  /** The most dough that is mixed at once, g. */
  readonly mixG: number | null;
}

/** A kitchen nobody has measured. */
export const NO_ROOM: Room = {
  oven: { floor: null, shelves: 1 }, plates: [], tins: [],
  kettleCm: null, panCm: null, fryerCm: null, oilLitres: null, mixG: null,
}; // prettier-ignore
