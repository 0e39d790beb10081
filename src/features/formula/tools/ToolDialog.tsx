'use client';
import type { FC } from 'react';
import { Dialog } from '@/ui/Dialog';
import type { Tool } from './toolNames';
import { LeaveOut } from './LeaveOut';
import { SetWater } from './SetWater';
import { Swap } from './Swap';
import { TooWetToday } from './TooWetToday';
import { UseUp } from './UseUp';

const TOOL: Record<Tool, { title: string; hint: string; Body: FC<{ onDone: () => void }> }> = {
  water: {
    title: 'Set the water',
    hint: 'How should the dough be after its rest? Only the water changes.',
    Body: SetWater,
  },
  tooWet: {
    title: 'Too wet today',
    hint: 'Your hand is right, whatever the sheet says: how much of which powder brings it back.',
    Body: TooWetToday,
  },
  swap: {
    title: 'Swap one for another',
    hint: 'The dose is fitted, and the water set so that the dough feels the same.',
    Body: Swap,
  },
  leaveOut: {
    title: 'Leave something out',
    hint: 'What goes is replaced by what does its work: water, bind, protein and fat are put back.',
    Body: LeaveOut,
  },
  useUp: {
    title: 'Use up what there is',
    hint: 'The whole sheet is scaled so that this comes to what you have.',
    Body: UseUp,
  },
};

/** The tools that solve for the sheet: each asks its question, shows what it would do, and does it as one change. */
export function ToolDialog({ tool, onClose }: { tool: Tool; onClose: () => void }) {
  const { Body, ...words } = TOOL[tool];
  return (
    <Dialog onClose={onClose} {...words}>
      <Body onDone={onClose} />
    </Dialog>
  );
}
