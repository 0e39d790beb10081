export { KIT_LIMITS, ORDINARY_KIT, type Kit, type KitOven } from './kit';
export { readProbeTrace } from './probeTrace';
export { heatOven, ovenFor, runKitchenOf } from './runKitchen';
export { type KitchenDetails } from './kitchenDetails';
export { PLAIN_WAYS } from './plainWays';
export { kitchenWord } from './kitchenWord';
