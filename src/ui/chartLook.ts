/** What all charts share: quiet axes in the page's own ink, no movement. */
export const AXIS = {
  stroke: 'var(--edge)',
  tick: { fill: 'var(--soft)', fontSize: 12 },
  tickLine: false,
} as const;

export const GRID = { stroke: 'var(--rule)', vertical: false } as const;

export const TOOLTIP = {
  isAnimationActive: false,
  contentStyle: {
    background: 'var(--surface)',
    border: '1px solid var(--edge)',
    borderRadius: 6,
    color: 'var(--ink)',
    fontSize: 13,
    padding: '4px 8px',
  },
  itemStyle: { padding: 0 },
  cursor: { stroke: 'var(--edge)' },
} as const;
