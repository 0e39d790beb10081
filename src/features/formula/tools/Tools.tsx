'use client';
import { Droplets, Leaf, PackageOpen, Replace, Waves } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { buttonClass } from '@/ui/Button';
import { TOOLS, type Tool } from './toolNames';

const BUTTON = {
  water: { word: 'Set the water', Icon: Droplets },
  tooWet: { word: 'Too wet today', Icon: Waves },
  swap: { word: 'Swap', Icon: Replace },
  leaveOut: { word: 'Leave out', Icon: Leaf },
  useUp: { word: 'Use up', Icon: PackageOpen },
} as const;

export const loadToolDialog = () => import('./ToolDialog');
const ToolDialog = lazy(() => loadToolDialog().then((module) => ({ default: module.ToolDialog })));

/** Questions asked the other way round: what to change so that the dough becomes what is wanted. */
export function Tools() {
  const [tool, setTool] = useState<Tool | null>(null);
  return (
    <div className="mt-3 flex flex-wrap gap-1.5">
      {TOOLS.map((each) => {
        const { word, Icon } = BUTTON[each];
        return (
          <button
            key={each}
            type="button"
            onPointerEnter={() => void loadToolDialog()}
            onClick={() => setTool(each)}
            className={buttonClass('plain', 'table', 'px-2.5')}
          >
            <Icon size={15} aria-hidden /> {word}
          </button>
        );
      })}
      {tool && (
        <Suspense>
          <ToolDialog tool={tool} onClose={() => setTool(null)} />
        </Suspense>
      )}
    </div>
  );
}
