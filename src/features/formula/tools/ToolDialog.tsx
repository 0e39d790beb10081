'use client';
import type { FC } from 'react';
import { Dialog } from '@/ui/Dialog';
import type { Tool } from './toolNames';
import { LeaveOut } from './LeaveOut';
import { SetWater } from './SetWater';
import { Swap } from './Swap';
import { TooWetToday } from './TooWetToday';
import { UseUp } from './UseUp';
import { words } from '@/wording/screens/formula/tools/ToolDialog';

const TOOL: Record<Tool, { title: string; hint: string; Body: FC<{ onDone: () => void }> }> = {
  water: {
    title: words.setTheWater,
    hint: words.howShouldTheDoughBe,
    Body: SetWater,
  },
  tooWet: {
    title: words.tooWetToday,
    hint: words.yourHandIsRightWhatever,
    Body: TooWetToday,
  },
  swap: {
    title: words.swapOneForAnother,
    hint: words.theDoseIsFittedAnd,
    Body: Swap,
  },
  leaveOut: {
    title: words.leaveSomethingOut,
    hint: words.whatGoesIsReplacedBy,
    Body: LeaveOut,
  },
  useUp: {
    title: words.useUpWhatThereIs,
    hint: words.theWholeFormulaIs,
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
