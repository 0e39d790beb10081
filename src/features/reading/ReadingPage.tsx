'use client';
import { ArrowLeft, FileUp } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useDeferredValue, useRef, useState } from 'react';
import { MEASURE_SYSTEMS } from '@/core/quantity';
import { Button } from '@/ui/Button';
import { Segmented } from '@/ui/Segmented';
import { patiently } from '@/ui/patiently';
import { useAwake } from '@/ui/useAwake';
import { KitchenLink } from '../kitchen/KitchenProvider';
import { usePreferences } from '../preferences/PreferencesProvider';
import { MEASURE_WORD } from '@/wording/words';
import { words } from '@/wording/screens/reading/ReadingPage';

const ReadingView = dynamic(
  patiently(() => import('./ReadingView').then((module) => module.ReadingView)),
  { ssr: false },
);

const MOST_BYTES = 2_000_000;
const EXAMPLE = words.sundayRolls200GBrown;

/** Paste a recipe on the left, see on the right how every line of it was understood, answer what was not, get a sheet. */
export function ReadingPage() {
  const { preferences, change } = usePreferences();
  const [text, setText] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const awake = useAwake();
  const file = useRef<HTMLInputElement>(null);
  // reading a long text takes a moment: the typing goes first
  const settled = useDeferredValue(text);

  const open = async (chosen: File | undefined) => {
    if (!chosen) return;
    if (chosen.size > MOST_BYTES) return setTrouble(words.thisFileIsLargerThan);
    try {
      setText(new TextDecoder('utf-8', { fatal: true }).decode(await chosen.arrayBuffer()));
      setTrouble(null);
    } catch {
      setTrouble(words.thisIsNotAText);
    }
  };

  return (
    <>
      <KitchenLink
        href="/formulas"
        className="inline-flex min-h-6 items-center gap-1 text-sm text-link underline"
      >
        <ArrowLeft size={15} aria-hidden />
        {words.allFormulas}
      </KitchenLink>
      <h1 className="mb-1 text-2xl sm:text-3xl">{words.importARecipe}</h1>
      <p className="mb-4 max-w-3xl text-soft">{words.pasteItAsItStands}</p>
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <section aria-label={words.theText} className="lg:sticky lg:top-18">
          <textarea
            aria-label={words.theRecipe}
            readOnly={!awake}
            rows={18}
            value={text}
            placeholder={EXAMPLE}
            onChange={(event) => setText(event.currentTarget.value)}
            className="docket block w-full rounded-b-md p-4 font-mono text-sm leading-relaxed"
          />
          <div className="mt-3 flex flex-wrap items-center gap-3">
            <input
              ref={file}
              type="file"
              accept=".json,.jsonld,.csv,.md,.markdown,.txt,application/json,text/*"
              className="sr-only"
              tabIndex={-1}
              aria-label={words.openAFile}
              onChange={(event) => {
                void open(event.currentTarget.files?.[0]);
                event.currentTarget.value = '';
              }}
            />
            <Button onClick={() => file.current?.click()}>
              <FileUp size={16} aria-hidden />
              {words.openAFile}
            </Button>
            <Segmented
              label={words.cupSpoonAndEggSizes}
              value={preferences.measure}
              onChange={(measure) => change({ measure })}
              options={MEASURE_SYSTEMS.map((measure) => ({ value: measure, ...MEASURE_WORD[measure] }))}
            />
          </div>
          {trouble && (
            <p role="alert" className="mt-2 text-sm text-alarm">
              {trouble}
            </p>
          )}
        </section>
        {settled.trim() === '' ? (
          <p className="docket rounded-b-md p-6 text-soft">{words.howItWasUnderstood}</p>
        ) : (
          <ReadingView text={settled} />
        )}
      </div>
    </>
  );
}
