import * as z from 'zod';
import { bakeActionSchema } from '../bake/bakeEvent';
import { batchRequestSchema } from '../batch/batchRequest';
import { formulaSchema } from '../formula/formulaSchema';

/** What a screen may ask of the server. One schema each, used where it is made and where it is received. */

/** Made by the sender once per wish; the server grants the same wish once however often it arrives. */
const requestId = z.uuid();

export const createFormulaSchema = z.union([
  z.strictObject({ requestId, formula: formulaSchema }),
  z.strictObject({ requestId, copyOf: z.uuid() }),
]);
export type CreateFormula = z.infer<typeof createFormulaSchema>;

export const saveFormulaSchema = z.strictObject({
  requestId,
  /** The revision the writer had before its eyes. */
  seen: z.number().int().min(1).max(1_000_000_000),
  formula: formulaSchema,
});
export type SaveFormula = z.infer<typeof saveFormulaSchema>;

export const archiveFormulaSchema = z.strictObject({ archived: z.boolean() });

export const startBakeSchema = z.strictObject({
  requestId,
  formulaId: z.uuid(),
  revision: z.number().int().min(1).max(1_000_000_000),
  batch: batchRequestSchema,
});
export type StartBake = z.infer<typeof startBakeSchema>;

export const tapSchema = z.strictObject({
  eventId: z.uuid(),
  /** How long the tap waited to be sent, at most three days. */
  agoMs: z.number().min(0).max(259_200_000),
  action: bakeActionSchema,
});
export type Tap = z.infer<typeof tapSchema>;

export const tapsSchema = z.strictObject({ taps: z.array(tapSchema).min(1).max(100) });
