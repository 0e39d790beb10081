import type { OwnTool } from '@/core/day/shared';

const TOOL: Record<OwnTool, string> = {
  stone: 'stone or steel', oil: 'frying oil', baskets: 'baskets', sieves: 'sieves', boards: 'boards', scale: 'scale',
}; // prettier-ignore

/** What the screen says. */
export const words = {
  title: 'A shared kitchen',
  wheat: 'Wheat is worked here',
  wheatHint: 'Nothing is planned while it is, until its dust has settled and all is cleaned down.',
  newWheat: 'Wheat',
  settles: 'The dust settles for',
  cleans: 'Cleaning down takes',
  min: 'min',
  own: 'Kept apart for bread without gluten',
  tool: TOOL,
  apart: 'Without these before with these',
  apartHint:
    'Bread without it is worked first where no promise breaks by it; where it cannot be, cleaning down in between is called for.',
} as const;
