'use client';
import {
  ArrowLeft,
  BellRing,
  EllipsisVertical,
  MoonStar,
  NotebookPen,
  Pause,
  Plus,
  Split,
  Sun,
} from 'lucide-react';
import { Button, IconButton } from '@/ui/Button';
import { Menu } from '@/ui/Menu';
import { KitchenLink } from '../kitchen/KitchenProvider';
import { usePreferences } from '../preferences/PreferencesProvider';
import { words } from '@/wording/screens/bench/BenchPage';

export type BenchDialog = 'note' | 'addition' | 'abandon' | 'bell' | 'course';

interface BenchHeadProps {
  name: string;
  onDialog: (dialog: BenchDialog) => void;
  /** Null: it stands still already. */
  onPause: (() => void) | null;
}

/** Whose bench it is, and what is not of one step: something extra, a note, another course, a pause. */
export function BenchHead({ name, onDialog, onPause }: BenchHeadProps) {
  const { preferences, change } = usePreferences();
  const dim = preferences.light === 'dim';
  return (
    <header className="flex items-center gap-2 py-2 low:py-0">
      <KitchenLink
        href="/"
        aria-label={words.leaveTheBenchTheBake}
        title={words.leaveTheBenchTheBake}
        className="flex size-12 shrink-0 items-center justify-center rounded-xl hover:bg-well"
      >
        <ArrowLeft size={24} aria-hidden />
      </KitchenLink>
      <h1 className="min-w-0 flex-1 truncate text-lg sm:text-xl">{name}</h1>
      <Button size="bench" className="min-h-12 px-3 text-base" onClick={() => onDialog('addition')}>
        <Plus size={20} aria-hidden /> <span className="max-sm:sr-only">{words.extra}</span>
      </Button>
      <Button size="bench" className="min-h-12 px-3 text-base" onClick={() => onDialog('note')}>
        <NotebookPen size={20} aria-hidden /> <span className="max-sm:sr-only">{words.note}</span>
      </Button>
      <Menu
        trigger={
          <IconButton label={words.more} className="size-12">
            <EllipsisVertical size={22} aria-hidden />
          </IconButton>
        }
        choices={[
          {
            key: 'light',
            words: (
              <>
                {dim ? <Sun size={18} aria-hidden /> : <MoonStar size={18} aria-hidden />}{' '}
                {dim ? words.daylight : words.dimTheLight}
              </>
            ),
            onSelect: () => change({ light: dim ? 'day' : 'dim' }),
          },
          {
            key: 'bell',
            words: (
              <>
                <BellRing size={18} aria-hidden /> {words.theBell}
              </>
            ),
            onSelect: () => onDialog('bell'),
          },
          {
            key: 'course',
            words: (
              <>
                <Split size={18} aria-hidden /> {words.anotherCourse}
              </>
            ),
            onSelect: () => onDialog('course'),
          },
          ...(onPause
            ? [
                {
                  key: 'pause',
                  words: (
                    <>
                      <Pause size={18} aria-hidden /> {words.pause}
                    </>
                  ),
                  onSelect: onPause,
                },
              ]
            : []),
          {
            key: 'abandon',
            words: words.abandonThisBake,
            onSelect: () => onDialog('abandon'),
            alarm: true,
          },
        ]}
      />
    </header>
  );
}
