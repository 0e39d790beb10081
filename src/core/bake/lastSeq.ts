/** The largest number an event of a bake can have. */
export const LAST_SEQ = 2_147_483_647;
