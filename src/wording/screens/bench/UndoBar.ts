import type { BakeAction } from '@/core/bake';

/** The last thing that was done at the bench, and that it can be taken back. */
export const words = {
  undo: 'Take it back',
  lastDone: 'Done last',
  by: (who: string, deed: string) => `${who}: ${deed}`,
  weighed: (name: string, mass: string) => `${name}: ${mass} in`,
  part: (name: string, mass: string) => `${name}: ${mass}, a part`,
  unweighed: (name: string) => `${name}: out again`,
  leftOut: (name: string) => `${name}: left out`,
  deeds: {
    stepDone: (step: string) => `${step}: done`,
    stepSkipped: (step: string) => `${step}: skipped`,
    stepReopened: (step: string) => `${step}: not done`,
    timerStarted: (step: string) => `${step}: its clock runs`,
    timerChanged: (step: string) => `${step}: more time`,
    timerStopped: (step: string) => `${step}: its clock stands`,
    timerCleared: (step: string) => `${step}: no clock`,
    trialBegun: (step: string) => `${step}: a trial`,
    rise: (step: string) => `${step}: a mark`,
  } satisfies Partial<Record<BakeAction['type'], (step: string) => string>>,
  lit: 'The oven is on',
  courses: {
    cold: 'Into the fridge',
    yeast: 'Half the yeast',
    lost: 'A load is lost',
    tin: 'Into another tin',
  },
  paused: 'Paused',
  resumed: 'Gone on',
} as const;
