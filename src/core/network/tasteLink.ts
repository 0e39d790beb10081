import * as z from 'zod';
import { tastingSchema } from '../tasting/tastingSchema';

export const TASTE_LINK_LIMITS = { openPerBake: 20, hours: [6, 24, 72] } as const;

/** A link for so many hours. */
export const askLinkSchema = z.strictObject({
  hours: z.union([z.literal(6), z.literal(24), z.literal(72)]),
});
export type AskLink = z.infer<typeof askLinkSchema>;

/** A card by a link; sent again under its id it is the same. */
export const linkTastingSchema = z.strictObject({ tastingId: z.uuid(), tasting: tastingSchema });
export type LinkTasting = z.infer<typeof linkTastingSchema>;

/** An open link as the baker sees it: never the link itself. */
export interface ShownLink {
  readonly id: string;
  readonly madeAtMs: number;
  readonly expiresAtMs: number;
}
