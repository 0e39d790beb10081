import * as z from 'zod';
import { DeviceStore } from '../device/deviceStore';

const bellSchema = z.strictObject({
  /** Nothing is heard on this device; what is up is shown all the same. */
  muted: z.boolean(),
  /** Two minutes before the time. */
  early: z.boolean(),
  /** Its name is spoken, where the machine has a voice of its own. */
  spoken: z.boolean(),
});
export type BellSettings = z.infer<typeof bellSchema>;

/** How this device calls. */
export const bellSettings = new DeviceStore<BellSettings>('crumb-bell', bellSchema, {
  muted: false,
  early: true,
  spoken: true,
});
