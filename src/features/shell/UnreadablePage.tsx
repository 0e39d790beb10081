import type { SetAside } from '@/core/documents';
import { buttonClass } from '@/ui/Button';
import { KitchenLink } from '../kitchen/KitchenProvider';
import { SetAsideNote } from './SetAsideNote';
import { words } from '@/wording/screens/shell/UnreadablePage';

/** The page of one thing that is there and cannot be read. */
export function UnreadablePage({ setAside }: { setAside: SetAside }) {
  return (
    <div className="mx-auto mt-10 max-w-xl">
      <h1 className="mb-3 text-2xl">{setAside.name ?? words.thisPageCannotBeShown}</h1>
      <SetAsideNote setAside={[setAside]} />
      <KitchenLink href="/" className={buttonClass('strong', 'table', 'mt-2')}>
        {words.toToday}
      </KitchenLink>
    </div>
  );
}
