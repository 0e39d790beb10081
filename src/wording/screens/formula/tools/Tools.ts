/** What the screen says. */
export const words = {
  setTheWater: 'Set the water',
  tooWetToday: 'Too wet today',
  swap: 'Swap',
  leaveOut: 'Leave out',
  useUp: 'Use up',
} as const;
