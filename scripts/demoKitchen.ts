/** Where the demo kitchen stands in a fresh database. */
export const DEMO = '/k/larkspur-lock';
export const DEMO_API = `/api${DEMO}`;

/** The demo kitchen's page at a place: `/` is Today. */
export const inDemo = (path: string): string => `${DEMO}${path === '/' ? '' : path}`;
