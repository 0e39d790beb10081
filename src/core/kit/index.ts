export { KIT_LIMITS, PLACE_KINDS, VESSEL_KINDS, ORDINARY_KIT, type Kit, type KitOven } from './kit';
export { readProbeTrace } from './probeTrace';
export { ovenFor } from './ovenFor';
export { heatOven, runKitchenOf } from './runKitchen';
export { type KitchenDetails } from './kitchenDetails';
export { PLAIN_WAYS } from './plainWays';
export { kitchenWord } from './kitchenWord';
export { roomOf } from './roomOf';
