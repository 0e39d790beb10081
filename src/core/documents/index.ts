export { readDocument, setAside, type DocumentKind, type SetAside } from './documentKind';
export {
  BAKE_ACTION,
  BAKE_PLAN,
  DOCUMENT_KINDS,
  FORMULA,
  KIT,
  KITCHEN_DETAILS,
  KITCHEN_ENTRY,
  type BakePlan,
} from './kinds';
