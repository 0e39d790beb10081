'use client';
import { ArrowRight, Download, Plus, Upload } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { Button, buttonClass } from '@/ui/Button';
import { addressOf } from '@/ui/address';
import { newUuid } from '@/ui/newUuid';
import { Reason } from '@/ui/Reason';
import { useTwice } from '@/ui/useTwice';
import { ask } from '../asking/ask';
import { usePreferences } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import { kitchenPlace } from './place';
import { words } from '@/wording/screens/kitchen/KitchensPage';

/** A kitchen as the first page lists it. */
export interface KitchenCard {
  readonly address: string;
  readonly name: string;
  readonly demo: boolean;
}

/** Before a kitchen is entered: what this is, a kitchen to look round in, and the way to one of one's own. */
export function KitchensPage({ kitchens }: { kitchens: readonly KitchenCard[] }) {
  const own = kitchens.filter(({ demo }) => !demo);
  const demo = kitchens.find((kitchen) => kitchen.demo) ?? null;
  return (
    <>
      <h1 className="text-4xl sm:text-5xl">
        {words.honest}
        <span className="ml-2 bg-ink px-2.5 text-surface">{words.crumb}</span>
      </h1>
      <p className="mt-4 max-w-2xl text-lg">{words.forPeopleWhoBakeGluten}</p>
      {own.length > 0 && (
        <section aria-labelledby="own-kitchens" className="mt-8">
          <h2 id="own-kitchens" className="mb-2 text-lg">
            {words.yourKitchens}
          </h2>
          <ul className="grid gap-3">
            {own.map(({ address, name }) => (
              <li key={address} className="docket flex items-center rounded-b-md">
                <Link
                  href={kitchenPlace(address).page('/')}
                  className="flex min-h-16 min-w-0 flex-1 items-center justify-between gap-3 px-5 py-3 text-xl font-semibold hover:bg-well"
                >
                  {name}
                  <ArrowRight size={22} aria-hidden className="shrink-0" />
                </Link>
                <ExportLink address={address} name={name} />
              </li>
            ))}
          </ul>
        </section>
      )}
      <div className="mt-8 grid items-start gap-5 md:grid-cols-2">
        <div className="grid gap-5">
          <section aria-labelledby="set-up" className="docket rounded-b-md p-5">
            <h2 id="set-up" className="text-2xl">
              {own.length === 0 ? words.setUpYourKitchen : words.anotherKitchen}
            </h2>
            <p className="mt-1 text-soft">{words.threeQuestionsEachWithAn}</p>
            <Link
              href="/kitchens/new"
              className={buttonClass(own.length === 0 ? 'now' : 'strong', 'bench', 'mt-4')}
            >
              <Plus size={22} aria-hidden /> {own.length === 0 ? words.setUpMine : words.setUpAnother}
            </Link>
          </section>
          <ImportCard />
        </div>
        <DemoCard demo={demo} />
      </div>
      <p className="mt-8 text-sm text-soft">{words.everythingStaysOnThisMachine}</p>
    </>
  );
}

/** The whole kitchen as one file: a download of the browser's own. */
function ExportLink({ address, name }: { address: string; name: string }) {
  return (
    <a
      href={kitchenPlace(address).api('/export')}
      download
      aria-label={words.exportNamed(name)}
      className={buttonClass('quiet', 'table', 'mx-2 min-h-11 px-3')}
    >
      <Download size={18} aria-hidden />
      {words.exportWord}
    </a>
  );
}

/** So much goes through the browser; a larger file is taken in by the command. */
const MOST_BYTES = 8 * 1024 * 1024;
const MOST_ARCHIVE_BYTES = 64 * 1024 * 1024;
/** By its first bytes: a name says nothing. */
const isArchive = async (file: File): Promise<boolean> =>
  new TextDecoder().decode(await file.slice(0, 2).arrayBuffer()) === 'PK';

function ImportCard() {
  const router = useRouter();
  const { preferences } = usePreferences();
  const field = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  // one wish for one file: chosen again after a dead network it is still one kitchen
  const wish = useRef<{ of: string; requestId: string } | null>(null);
  const take = async (file: File): Promise<void> => {
    const isZip = await isArchive(file);
    if (file.size > (isZip ? MOST_ARCHIVE_BYTES : MOST_BYTES)) return setTrouble(words.thatIsMoreThanA);
    const of = `${file.name} ${file.size} ${file.lastModified}`;
    if (wish.current?.of !== of) wish.current = { of, requestId: newUuid() };
    let data: unknown;
    try {
      data = isZip ? file.slice(0, file.size, 'application/zip') : JSON.parse(await file.text());
    } catch {
      return setTrouble(words.thatIsNoFileOf);
    }
    setBusy(true);
    setTrouble(null);
    const answer = await ask<KitchenCard>(
      addressOf('/api/kitchens/import', { request: wish.current.requestId }),
      data,
    );
    setBusy(false);
    if (answer.kind === 'ok') return router.push(kitchenPlace(answer.value.address).page('/'));
    const problem = answer.kind === 'invalid' ? answer.problems[0] : undefined;
    setTrouble(
      problem
        ? words.itCannotBeTakenAnd(problem.path || words.atTheTopOf, wordProblem(problem, preferences))
        : words.chooseTheFileAgain,
    );
  };
  return (
    <section aria-labelledby="import" className="docket rounded-b-md p-5">
      <h2 id="import" className="text-2xl">
        {words.fromAFile}
      </h2>
      <p className="mt-1 text-soft">{words.aKitchenThatWasExported}</p>
      <input
        ref={field}
        type="file"
        accept=".zip,.json,application/zip,application/json"
        aria-label={words.aKitchensFile}
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const [file] = event.currentTarget.files ?? [];
          event.currentTarget.value = '';
          if (file) void take(file);
        }}
      />
      <Button size="bench" className="mt-4" disabled={busy} onClick={() => field.current?.click()}>
        <Upload size={22} aria-hidden /> {busy ? words.readingIt : words.chooseTheFile}
      </Button>
      <Reason>{trouble ?? undefined}</Reason>
    </section>
  );
}

function DemoCard({ demo }: { demo: KitchenCard | null }) {
  const router = useRouter();
  const renewal = useTwice();
  const removal = useTwice();
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const send = async (path: string): Promise<void> => {
    setBusy(true);
    const answer = await ask(path, {});
    setBusy(false);
    setTrouble(answer.kind === 'ok' ? null : words.theServerDidNotAnswer);
    if (answer.kind === 'ok') router.refresh();
  };
  return (
    <section aria-labelledby="demo" className="docket rounded-b-md p-5">
      <h2 id="demo" className="text-2xl">
        {words.lookRound}
      </h2>
      {demo ? (
        <>
          <p className="mt-1 text-soft">{words.isAMadeUpKitchen(demo.name)}</p>
          <Link href={kitchenPlace(demo.address).page('/')} className={buttonClass('plain', 'bench', 'mt-4')}>
            {words.lookRoundIn(demo.name)}
            <ArrowRight size={22} aria-hidden />
          </Link>
          <div className="mt-3 flex flex-wrap gap-1">
            <Button
              look="quiet"
              disabled={busy}
              className="text-soft"
              onClick={() => renewal.press() && void send('/api/kitchens/demo')}
            >
              {renewal.asked ? words.yesResetItChanges : words.resetIt}
            </Button>
            <Button
              look="quiet"
              disabled={busy}
              className="text-soft"
              onClick={() => removal.press() && void send(kitchenPlace(demo.address).api('/removal'))}
            >
              {removal.asked ? words.yesRemoveItAndWhat : words.removeIt}
            </Button>
          </div>
        </>
      ) : (
        <>
          <p className="mt-1 text-soft">{words.theMadeUpKitchenHas}</p>
          <Button
            size="bench"
            className="mt-4"
            disabled={busy}
            onClick={() => void send('/api/kitchens/demo')}
          >
            {words.restoreIt}
          </Button>
        </>
      )}
      <Reason>{trouble ?? undefined}</Reason>
    </section>
  );
}
