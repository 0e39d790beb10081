'use client';
import {
  ArrowLeft,
  BellRing,
  EllipsisVertical,
  HandHelping,
  MoonStar,
  NotebookPen,
  Pause,
  Plus,
  Split,
  Sun,
  UserRound,
  type LucideIcon,
} from 'lucide-react';
import { Button, IconButton } from '@/ui/Button';
import { Menu } from '@/ui/Menu';
import { useDevice } from '../device/useDevice';
import { KitchenLink, useKitchen } from '../kitchen/KitchenProvider';
import { usePreferences } from '../preferences/PreferencesProvider';
import { words } from '@/wording/screens/bench/BenchPage';
import { whoStore } from './whoStore';
import { words as whoWords } from '@/wording/screens/bench/who';

export type BenchDialog = 'note' | 'addition' | 'abandon' | 'bell' | 'course' | 'who' | 'handOver';

interface BenchHeadProps {
  name: string;
  /** For whom it is by now; null: it was not given away. */
  handedTo: string | null;
  onDialog: (dialog: BenchDialog) => void;
  /** Null: it stands still already. */
  onPause: (() => void) | null;
}

/** Whose bench it is, and what is not of one step: something extra, a note, another course, a pause. */
export function BenchHead({ name, handedTo, onDialog, onPause }: BenchHeadProps) {
  const [{ who }] = useDevice(whoStore(useKitchen().address));
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
      <div className="min-w-0 flex-1">
        <h1 className="truncate text-lg sm:text-xl">{name}</h1>
        {handedTo !== null && (
          <p className="hidden truncate text-sm font-semibold low:block">{whoWords.isFor(handedTo)}</p>
        )}
        {who !== '' && (
          <p className="truncate text-sm text-soft" data-testid="who">
            {who}
          </p>
        )}
      </div>
      <Button size="bench" className="min-h-12 px-3 text-base" onClick={() => onDialog('addition')}>
        <Plus size={20} aria-hidden /> <span className="max-sm:sr-only">{words.extra}</span>
      </Button>
      <Button size="bench" className="min-h-12 px-3 text-base" onClick={() => onDialog('note')}>
        <NotebookPen size={20} aria-hidden /> <span className="max-sm:sr-only">{words.note}</span>
      </Button>
      <BenchMenu who={who} onDialog={onDialog} onPause={onPause} />
    </header>
  );
}

/** What is asked for now and then. */
function BenchMenu({ who, onDialog, onPause }: Omit<BenchHeadProps, 'name' | 'handedTo'> & { who: string }) {
  const { preferences, change } = usePreferences();
  const dim = preferences.light === 'dim';
  const choice = (key: string, Icon: LucideIcon, word: string, onSelect: () => void) => ({
    key,
    words: (
      <>
        <Icon size={18} aria-hidden /> {word}
      </>
    ),
    onSelect,
  });
  return (
    <Menu
      trigger={
        <IconButton label={words.more} className="size-12">
          <EllipsisVertical size={22} aria-hidden />
        </IconButton>
      }
      choices={[
        choice('light', dim ? Sun : MoonStar, dim ? words.daylight : words.dimTheLight, () =>
          change({ light: dim ? 'day' : 'dim' }),
        ),
        choice('bell', BellRing, words.theBell, () => onDialog('bell')),
        choice('who', UserRound, whoWords.whoMenu(who), () => onDialog('who')),
        choice('handOver', HandHelping, whoWords.handOverMenu, () => onDialog('handOver')),
        choice('course', Split, words.anotherCourse, () => onDialog('course')),
        ...(onPause ? [choice('pause', Pause, words.pause, onPause)] : []),
        { key: 'abandon', words: words.abandonThisBake, onSelect: () => onDialog('abandon'), alarm: true },
      ]}
    />
  );
}
