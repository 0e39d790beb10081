/** When a page was put by, ms since 1970 by this device's clock: as a header where it lies, as a meta element where it is shown. */
export const KEPT_NAME = 'crumb-kept';

/** Pages that were put by lie in a cache of each build, under this word and its name. */
export const KEPT_PAGES = 'crumb-pages';
