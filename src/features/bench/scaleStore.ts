import { DeviceStore } from '../device/deviceStore';
import { isList, isRecord, isWithin } from '../device/found';

/** Zeroed before each thing; the display goes on; each thing in a jug too heavy, or too useful, to zero. */
const WAYS = ['zero', 'running', 'jug'] as const;
const MOST_G = 50_000;
const MOST_JUGS = 20;
const NAME_LENGTH = 40;

interface Jug {
  readonly name: string;
  readonly massG: number;
}

export interface ScaleUse {
  readonly way: (typeof WAYS)[number];
  readonly bowlG: number;
  readonly jug: string;
  readonly jugs: readonly Jug[];
}

function readJug(found: unknown): Jug | null {
  if (!isRecord(found)) return null;
  const { name, massG } = found;
  const isName = typeof name === 'string' && name.trim() !== '' && name.length <= NAME_LENGTH;
  return isName && isWithin(massG, 0.1, MOST_G) ? { name: name.trim(), massG } : null;
}

function readFound(found: unknown): ScaleUse | null {
  if (!isRecord(found)) return null;
  const { bowlG, jug } = found;
  const way = WAYS.find((each) => each === found.way);
  if (!way || !isWithin(bowlG, 0, MOST_G) || typeof jug !== 'string' || !isList(found.jugs, MOST_JUGS)) return null;
  const jugs = found.jugs.map(readJug);
  return jugs.every((each) => each !== null) ? { way, bowlG, jug, jugs } : null;
} // prettier-ignore

/** How the scale beside this device is used, and which jugs stand there: the same after a reload and at the next bake. */
export const scaleStore = (kitchen: string): DeviceStore<ScaleUse> =>
  new DeviceStore(`crumb-scale:${kitchen}`, readFound, { way: 'zero', bowlG: 0, jug: '', jugs: [] });

/** What stands on the scale of itself: the bowl, or the jug that is used. */
export const vesselG = ({ way, bowlG, jug, jugs }: ScaleUse): number =>
  way === 'running' ? bowlG : way === 'jug' ? (jugs.find(({ name }) => name === jug)?.massG ?? 0) : 0;
