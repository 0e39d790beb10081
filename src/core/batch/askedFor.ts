import type { BatchLine } from './batchSheet';

/** What a batch asks to be weighed: not what is held back, nor what is for the day it is taken out. */
export const isAskedFor = ({ heldBack, later }: BatchLine): boolean => !heldBack && !later;
