'use client';
import { useState } from 'react';
import { isWho } from '@/core/bake';
import { EATER_LIMITS } from '@/core/eaters';
import { Button } from '@/ui/Button';
import { words } from '@/wording/screens/bench/who';
import { useDevice } from '../device/useDevice';
import { useKitchen, usePeople } from '../kitchen/KitchenProvider';
import { whoStore } from './whoStore';

interface NameChoiceProps {
  readonly chosen: string;
  /** Not offered: who it is already. */
  readonly except?: string;
  /** Names that stand in the bake. */
  readonly seen: readonly string[];
  readonly onChoose: (name: string) => void;
}

/** One of the kitchen's people, of those who were at it before, or a name that is typed. */
export function NameChoice({ chosen, except = '', seen, onChoose }: NameChoiceProps) {
  const store = whoStore(useKitchen().address);
  const [{ names }, change] = useDevice(store);
  const people = usePeople();
  const [typed, setTyped] = useState('');
  const all = [...new Set([...people, ...seen, ...names])].filter((name) => name !== except);
  const name = typed.trim();
  const isName = isWho(name);
  const use = () => {
    if (!all.includes(name)) change({ names: [...names, name].slice(-20) });
    setTyped('');
    onChoose(name);
  };
  return (
    <>
      <div role="group" aria-label={words.names} className="grid grid-cols-2 gap-2">
        {all.map((each) => (
          <Button
            key={each}
            size="bench"
            look={each === chosen ? 'strong' : 'plain'}
            aria-pressed={each === chosen}
            onClick={() => onChoose(each)}
          >
            <span className="truncate">{each}</span>
          </Button>
        ))}
      </div>
      <form
        className="mt-2 flex gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (isName) use();
        }}
      >
        <input
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          aria-label={words.another}
          placeholder={words.another}
          maxLength={EATER_LIMITS.nameLength}
          className="min-h-12 min-w-0 flex-1 rounded-lg border border-edge bg-surface px-3 text-lg"
        />
        <Button type="submit" size="bench" className="min-h-12 px-4" disabled={!isName}>
          {words.use}
        </Button>
      </form>
    </>
  );
}
