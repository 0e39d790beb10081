export { allergenStatement } from './allergenStatement';
export { cautionsOf, type Caution } from './cautions';
