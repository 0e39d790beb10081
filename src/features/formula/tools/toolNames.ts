/** What the sheet can solve for. */
export const TOOLS = ['water', 'tooWet', 'swap', 'leaveOut', 'useUp'] as const;
export type Tool = (typeof TOOLS)[number];
