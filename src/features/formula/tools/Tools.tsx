'use client';
import { lazy, Suspense, useState } from 'react';
import { buttonClass } from '@/ui/Button';
import { TOOLS, type Tool } from './toolNames';
import { words } from '@/wording/screens/formula/tools/Tools';

const BUTTON = {
  water: words.setTheWater,
  tooWet: words.tooWetToday,
  swap: words.swap,
  leaveOut: words.leaveOut,
  useUp: words.useUp,
} as const;

export const loadToolDialog = () => import('./ToolDialog');
const ToolDialog = lazy(() => loadToolDialog().then((module) => ({ default: module.ToolDialog })));

/** Questions asked the other way round: what to change so that the dough becomes what is wanted. */
export function Tools() {
  const [tool, setTool] = useState<Tool | null>(null);
  return (
    <div className="mt-3 flex flex-wrap gap-1.5">
      {TOOLS.map((each) => (
        <button
          key={each}
          type="button"
          onPointerEnter={() => void loadToolDialog()}
          onClick={() => setTool(each)}
          className={buttonClass('plain', 'table', 'px-2.5')}
        >
          {BUTTON[each]}
        </button>
      ))}
      {tool && (
        <Suspense>
          <ToolDialog tool={tool} onClose={() => setTool(null)} />
        </Suspense>
      )}
    </div>
  );
}
