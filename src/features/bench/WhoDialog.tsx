'use client';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { words } from '@/wording/screens/bench/who';
import { useDevice } from '../device/useDevice';
import { useKitchen } from '../kitchen/KitchenProvider';
import { NameChoice } from './NameChoice';
import { whoStore } from './whoStore';

/** Who stands at this device from now on. */
export function WhoDialog({ seen, onClose }: { seen: readonly string[]; onClose: () => void }) {
  const [{ who }, change] = useDevice(whoStore(useKitchen().address));
  const choose = (name: string) => {
    change({ who: name });
    onClose();
  };
  return (
    <Dialog onClose={onClose} title={words.whoIsHere} hint={words.whoHint}>
      <NameChoice chosen={who} seen={seen} onChoose={choose} />
      <Button size="bench" className="mt-2 w-full" aria-pressed={who === ''} onClick={() => choose('')}>
        {words.nobody}
      </Button>
    </Dialog>
  );
}
