export {
  KITCHEN_FORMAT,
  KITCHEN_VERSION,
  kitchenDetailsSchema,
  readKitchenFile,
  type KitchenDetails,
  type KitchenFile,
} from './kitchenFile';
