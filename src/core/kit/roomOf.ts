import type { Room, Surface } from '../process/room';
import type { Kit } from './kit';
import { ovenFor, type Baked } from './ovenFor';

/** Of a bowl's or a mixer's litres so much is filled with dough, kg per litre: it must turn over without climbing out. */
const DOUGH_KG_PER_LITRE = 0.42;

const surface = (
  lengthCm: number | null | undefined,
  widthCm: number | null | undefined,
  round = false,
): Surface | null => {
  const width = round ? lengthCm : widthCm;
  return lengthCm && width ? { lengthCm, widthCm: width, round } : null;
};

/** What a kitchen has room for, as the process asks it: only what was measured. */
export function roomOf(kit: Kit, formula: Baked): Room {
  const oven = ovenFor(kit, formula);
  const across = (wanted: 'kettle' | 'pan') =>
    kit.vessels.find(({ kind, acrossCm }) => kind === wanted && acrossCm !== null)?.acrossCm ?? null;
  // by machine it is the mixer's bowl that counts, by hand the largest bowl
  const mixes = kit.vessels
    .filter(({ kind }) => kind === (kit.mixer.kind === 'machine' ? 'mixer' : 'bowl'))
    .flatMap(
      ({ litres, mostDoughG }) => mostDoughG ?? (litres === null ? [] : litres * DOUGH_KG_PER_LITRE * 1000),
    );
  return {
    oven: { floor: surface(oven?.floorLengthCm, oven?.floorWidthCm), shelves: oven?.shelves ?? 1 },
    plates: kit.plates.flatMap(({ kind, lengthCm, widthCm, round, count }) => {
      const measured = surface(lengthCm, widthCm, round);
      return measured ? [{ kind, surface: measured, count: count ?? 1 }] : [];
    }),
    // how many there are of a tin limits a load only where it was said
    tins: kit.tins.flatMap(({ kind, lengthCm, widthCm, count }) =>
      count === undefined ? [] : [{ kind, lengthCm, widthCm, count }],
    ),
    kettleCm: across('kettle'),
    panCm: across('pan'),
    fryerCm: kit.fryer?.acrossCm ?? null,
    oilLitres: kit.fryer?.oilLitres ?? null,
    mixG: mixes.length > 0 ? Math.max(...mixes) : null,
  };
}
