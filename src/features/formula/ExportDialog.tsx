'use client';
import { Copy, Download } from 'lucide-react';
import { useMemo, useState } from 'react';
import {
  writeFormulaCsv,
  writeFormulaFile,
  writeFormulaMarkdown,
  writeRecipeJsonLd,
  type Loss,
} from '@/core/formats';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { Segmented } from '@/ui/Segmented';
import { useBook, useStoredEntries } from '../book/BookProvider';
import { STEP_WORD } from '@/wording/words';
import { useSheetState } from '../sheet/SheetContext';
import { words } from '@/wording/screens/formula/ExportDialog';

const FORMATS = ['own', 'markdown', 'csv', 'jsonLd'] as const;
type Format = (typeof FORMATS)[number];

const ABOUT: Record<Format, { label: string; ending: string; type: string; words: string }> = {
  own: {
    label: words.honestCrumb,
    ending: 'crumb.json',
    type: 'application/json',
    words: words.everythingNumberForNumberWith,
  },
  markdown: {
    label: words.markdown,
    ending: 'md',
    type: 'text/markdown',
    words: words.toReadPrintOrPut,
  },
  csv: {
    label: words.csv,
    ending: 'csv',
    type: 'text/csv',
    words: words.theIngredientsAsATable,
  },
  jsonLd: {
    label: words.jsonLd,
    ending: 'json',
    type: 'application/ld+json',
    words: words.aSchemaOrgRecipeFor,
  },
};

const LOSS_WORD: Record<Loss, string> = {
  percentBase: words.whatCountsAs100,
  usualYield: words.theUsualPiecesAndLosses,
  partKinds: words.whichPartIsAStarter,
  method: words.theMethod,
  stepDetails: words.timesTemperaturesAndCuesAs,
  ownIngredients: words.whatYourOwnIngredientsAre,
  measured: words.howItWasMeasuredCups,
  heldBack: words.whatIsHeldBack,
  partFigures: words.whatAPieceTakes,
  stepFields: words.whatStepsSayInFields,
  ways: words.thatItParts,
  about: words.theTextAboutIt,
  style: words.theStyle,
  roundedGrams: words.hundredthsOfAGramAnd,
};

const fileStem = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '') || 'formula';

function saveAs(fileName: string, type: string, text: string): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = fileName;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** Writes the sheet out in one of four formats, and says beforehand what that format cannot carry. */
export function ExportDialog({ onClose }: { onClose: () => void }) {
  const formula = useSheetState((state) => state.formula);
  const book = useBook();
  const { stored } = useStoredEntries();
  const [format, setFormat] = useState<Format>('own');
  const [copied, setCopied] = useState(false);
  const written = useMemo((): { text: string; losses: readonly Loss[] } => {
    const stepWord = (kind: (typeof formula.steps)[number]['kind']) => STEP_WORD[kind];
    switch (format) {
      case 'markdown':
        return writeFormulaMarkdown(formula, book, stepWord);
      case 'csv':
        return writeFormulaCsv(formula, book);
      case 'jsonLd':
        return writeRecipeJsonLd(formula, book, stepWord);
      default:
        return {
          text: writeFormulaFile(
            formula,
            stored.map(({ entry }) => entry),
          ),
          losses: [],
        };
    }
  }, [book, formula, format, stored]);
  const about = ABOUT[format];
  const fileName = `${fileStem(formula.name)}.${about.ending}`;
  return (
    <Dialog wide onClose={onClose} title={words.export} hint={about.words}>
      <Segmented
        label={words.format}
        value={format}
        onChange={(next) => {
          setFormat(next);
          setCopied(false);
        }}
        options={FORMATS.map((each) => ({ value: each, label: ABOUT[each].label }))}
      />
      <div className="mt-3 text-sm" data-testid="losses">
        {written.losses.length === 0 ? (
          <p>{words.nothingIsLostReadBack}</p>
        ) : (
          <>
            <p className="font-semibold">{words.thisFormatDoesNotCarry}</p>
            <ul className="list-disc pl-5 text-soft">
              {written.losses.map((loss) => (
                <li key={loss}>{LOSS_WORD[loss]}</li>
              ))}
            </ul>
          </>
        )}
      </div>
      <pre
        tabIndex={0}
        aria-label={words.whatTheFileHolds}
        className="mt-3 max-h-64 overflow-auto rounded border border-rule bg-well p-3 text-xs whitespace-pre-wrap"
      >
        {written.text}
      </pre>
      <div className="mt-3 flex gap-2">
        <Button
          look="strong"
          className="min-h-11 px-5"
          onClick={() => saveAs(fileName, about.type, written.text)}
        >
          <Download size={17} aria-hidden /> {fileName}
        </Button>
        <Button
          className="min-h-11"
          onClick={() =>
            void navigator.clipboard.writeText(written.text).then(
              () => setCopied(true),
              () => setCopied(false),
            )
          }
        >
          <Copy size={16} aria-hidden /> {copied ? words.copied : words.copy}
        </Button>
      </div>
    </Dialog>
  );
}
