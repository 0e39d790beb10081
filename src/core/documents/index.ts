export { readDocument, setAside, type DocumentKind, type SetAside } from './documentKind';
export {
  BAKE_ACTION,
  BAKE_PLAN,
  DAY,
  DOCUMENT_KINDS,
  FORECAST,
  FORMULA,
  KIT,
  LIFE,
  STARTERS,
  ORDERS,
  KITCHEN_DETAILS,
  KITCHEN_ENTRY,
  type BakePlan,
} from './kinds';
