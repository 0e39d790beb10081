export { allergenStatement, cautionsOf, type AllergenStatement, type Caution } from './cautions';
