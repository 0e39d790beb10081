/** Across the top of a page that is shown as it was put by. */
export const words = {
  asItWas: (time: string) => `Without the server: this page is as it was at ${time}. What you do is safe here and goes there later.`,
  backAgain: 'The server is back.',
  loadItNew: 'Load this page new',
}; // prettier-ignore
