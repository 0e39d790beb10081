/** When a page was put by, ms since 1970 by this device's clock: as a header where it lies, as a meta element where it is shown. */
export const KEPT_NAME = 'crumb-kept';
