import * as z from 'zod';
import { DeviceStore } from '../device/deviceStore';

const massG = z.number().min(0).max(50_000);
const scaleSchema = z.strictObject({
  /** Zeroed before each thing; the display goes on; each thing in a jug too heavy, or too useful, to zero. */
  way: z.enum(['zero', 'running', 'jug']),
  bowlG: massG,
  jug: z.string().max(40),
  jugs: z.array(z.strictObject({ name: z.string().trim().min(1).max(40), massG: massG.min(0.1) })).max(20),
});
export type ScaleUse = z.infer<typeof scaleSchema>;

/** How the scale beside this device is used, and which jugs stand there: the same after a reload and at the next bake. */
export const scaleStore = (kitchen: string): DeviceStore<ScaleUse> =>
  new DeviceStore(`crumb-scale:${kitchen}`, scaleSchema, { way: 'zero', bowlG: 0, jug: '', jugs: [] });

/** What stands on the scale of itself: the bowl, or the jug that is used. */
export const vesselG = ({ way, bowlG, jug, jugs }: ScaleUse): number =>
  way === 'running' ? bowlG : way === 'jug' ? (jugs.find(({ name }) => name === jug)?.massG ?? 0) : 0;
