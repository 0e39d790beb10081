'use client';
import dynamic from 'next/dynamic';

/** What rings is looked at when the page stands. */
export const LateTimerBell = dynamic(() => import('./TimerBell').then((module) => module.TimerBell), {
  ssr: false,
});
