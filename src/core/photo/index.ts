export { CRUMB_READER, PHOTO_LIMITS, PHOTO_OF, type PhotoOf } from './photoLimits';
export { crumbFiguresSchema, photoSchema, type CrumbFigures, type Mark, type Photo } from './photoSchema';
export { isPicture, sniff, SNIFF_BYTES, type Sniffed } from './sniff';
