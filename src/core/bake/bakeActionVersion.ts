/**
 * The version of what happened at the bench, as it is written down. 2: a bake that ended can be opened again. 3: which bag went in can be corrected.
 * 4: how many are left of what was put by. 5: and how much of a sauce. 6: part weighings, what is left out, mends, readings, what is skipped. 7: trials, looks,
 * times set anew, cleaned down, clocks and ovens taken back. 8: another course, a pause. 9: handed over, another tin, bench flour. 10: tastings, pictures and what was read from them.
 * 11: advice that was taken, what the cause was, whether a bake teaches.
 */
export const BAKE_ACTION_VERSION = 11;
