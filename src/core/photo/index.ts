export { PHOTO_LIMITS, PHOTO_OF, type PhotoOf } from './photoLimits';
export type { CrumbFigures, Mark, Photo } from './photoSchema';
export { isPicture, sniff, SNIFF_BYTES } from './sniff';
