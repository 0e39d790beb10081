import type { OwnTool } from '@/core/day/shared';

/** Before bread without gluten is begun in a kitchen that is shared. */
export const words = {
  title: 'Clean down first',
  everything: ['tables and boards', 'mixer, hook and bowl', 'scale and its keys', 'taps and handles', 'fresh cloths and apron', 'hands'],
  own: 'then only your own',
  tools: { stone: 'stone', oil: 'oil', baskets: 'baskets', sieves: 'sieves', boards: 'boards', scale: 'scale' } satisfies Record<OwnTool, string>,
  done: 'All of it is clean',
}; // prettier-ignore
