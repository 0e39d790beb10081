/** What the screen says. */
export const words = {
  worthChecking: 'Worth checking',
  important: 'Important:',
  fewer: 'fewer',
  more: (part: number) => `${part} more`,
} as const;
