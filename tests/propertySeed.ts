import fc from 'fast-check';

/*
 * Properties are checked on the same cases each time, so that a check that passed once passes again: a failure tells of a
 * change. `./crumb soak` goes roaming, with another seed each round. What it finds is mended at its root and saved as a case.
 */
fc.configureGlobal({ seed: Number(process.env.CRUMB_SEED ?? 20_240_229) });
