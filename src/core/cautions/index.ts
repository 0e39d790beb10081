export { allergenStatement, cautionsOf, type Caution } from './cautions';
