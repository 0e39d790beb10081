/** Across the top of a page on a device of the network. */
export const words = {
  looksOn: 'This device may only look on: what is pressed here is not taken.',
  bakes: 'This device bakes here; anything else is changed on another.',
  withdrawn: 'This device is not paired with the kitchen any more. What is pressed stays safe on it, and goes there when it is paired anew.',
  pairAnew: 'Pair it anew',
} as const; // prettier-ignore
