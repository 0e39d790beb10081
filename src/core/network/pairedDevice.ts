import * as z from 'zod';
import { plainText } from '../plainTextSchema';

/** What a device of the home network may do in its kitchen: look, work at the bench, or everything but what only this machine may. */
export const DEVICE_MAY = ['look', 'bench', 'all'] as const;
export type DeviceMay = (typeof DEVICE_MAY)[number];

export const DEVICE_LIMITS = {
  name: 40,
  perKitchen: 50,
  codeMin: 10,
  wrongGuesses: 10,
  openCodes: 5,
} as const;

/** A device that was paired, as the door knows it: it is of one kitchen. */
export interface PairedDevice {
  readonly id: string;
  readonly address: string;
  readonly may: DeviceMay;
}

/** As the list on this machine shows it. */
export interface ShownDevice {
  readonly id: string;
  readonly name: string;
  readonly may: DeviceMay;
  readonly pairedAtMs: number;
  /** When it asked for something last, to some minutes; null: never since it was paired. */
  readonly seenAtMs: number | null;
}

/** A code for one device, good once and for some minutes. */
export const askCodeSchema = z.strictObject({
  name: plainText(DEVICE_LIMITS.name).trim().min(1),
  may: z.enum(DEVICE_MAY),
});
export type AskCode = z.infer<typeof askCodeSchema>;

/** Eight digits, as they are read aloud: blanks in them do not count. */
export const pairingSchema = z.strictObject({
  code: z
    .string()
    .max(20)
    .transform((text) => text.replace(/\s/g, ''))
    .pipe(z.string().regex(/^\d{8}$/)),
});

/** How this machine is reached from the network; nothing where it is not. */
export interface NetworkPlace {
  readonly addresses: readonly string[];
  /** Of its own certificate authority: what a device shows before it is trusted. */
  readonly fingerprint: string;
}
