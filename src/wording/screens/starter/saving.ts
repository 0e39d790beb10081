/** What waits to be saved, in words. */
export const words = { whatYouTold: 'What you told of the starters' } as const;
