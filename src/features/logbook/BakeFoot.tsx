'use client';
import { FileDown, Printer } from 'lucide-react';
import type { BakeAction } from '@/core/bake';
import type { Problem } from '@/core/result';
import { Button, buttonClass } from '@/ui/Button';
import { words } from '@/wording/screens/logbook/BakeFoot';
import { useKitchen } from '../kitchen/KitchenProvider';
import { usePreferences } from '../preferences/PreferencesProvider';

interface BakeFootProps {
  readonly bakeId: string;
  readonly teaches: boolean;
  readonly tap: (action: BakeAction) => Problem | null;
}

/** What can be done with a bake's page: handed on, printed; and whether models learn from it. */
export function BakeFoot({ bakeId, teaches, tap }: BakeFootProps) {
  const kitchen = useKitchen();
  const { massUnit, temperatureUnit } = usePreferences().preferences;
  const page = kitchen.api(`/bakes/${bakeId}/page?mass=${massUnit}&temperature=${temperatureUnit}`);
  return (
    <section aria-labelledby="foot-title" className="no-print docket rounded-b-md px-5 pt-4 pb-5">
      <h2 id="foot-title" className="text-xl">
        {words.title}
      </h2>
      <div className="mt-3 flex flex-wrap gap-3">
        <a href={page} download className={buttonClass('plain', 'table', 'min-h-10')}>
          <FileDown size={17} aria-hidden />
          {words.handOn}
        </a>
        <Button className="min-h-10" onClick={() => window.print()}>
          <Printer size={17} aria-hidden />
          {words.print}
        </Button>
      </div>
      <p className="mt-2 text-sm text-soft">{words.handOnHint}</p>
      <div className="mt-3 flex flex-wrap items-center gap-3 border-t border-rule pt-3 text-sm">
        <p className="min-w-0 flex-1">{teaches ? words.teaches : words.teachesNot}</p>
        <Button
          look="quiet"
          className="min-h-10"
          onClick={() => tap({ type: 'teachingSet', teaches: !teaches })}
        >
          {teaches ? words.leaveOut : words.letTeach}
        </Button>
      </div>
    </section>
  );
}
