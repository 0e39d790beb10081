'use client';
import dynamic from 'next/dynamic';
import { patiently } from '@/ui/patiently';

/** What rings is looked at when the page stands. */
export const LateTimerBell = dynamic(
  patiently(() => import('./TimerBell').then((module) => module.TimerBell)),
  {
    ssr: false,
  },
);
