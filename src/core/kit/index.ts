export { kitSchema, KIT_LIMITS, ORDINARY_KIT, type Kit, type KitOven } from './kitSchema';
export { readProbeTrace } from './probeTrace';
export { heatOven, runKitchenOf } from './runKitchen';
