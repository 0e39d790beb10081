import { BAND_ENDS, BANDS, type Band, type Consistency } from '@/core/consistency';
import { formatDuration } from '@/core/units';
import { cx } from '@/ui/cx';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';
import { BAND_WORD } from '@/wording/bands';
import { Why } from '../sheet/Why';
import { words } from '@/wording/screens/formula/Feel';
import { Term } from '../help/Term';

const FROM = 0.55;
const TO = 1.6;

/** Where a saturation stands on the ruler, %: each band has the same width, so that the narrow ones can be read too. */
function placeOf(s: number): number {
  const width = 100 / BANDS.length;
  let start = FROM;
  for (const [index, band] of BANDS.entries()) {
    const end = Math.min(TO, BAND_ENDS[band]);
    if (s < end || index === BANDS.length - 1) {
      return width * (index + Math.min(1, Math.max(0, (s - start) / (end - start))));
    }
    start = end;
  }
  return 100;
}

const likelyWords = (likely: readonly Band[], band: Band): string | null => {
  const others = likely.filter((each) => each !== band).map((each) => BAND_WORD[each].name.toLowerCase());
  return others.length > 0 ? words.mayBe(others.join(' or ')) : null;
};

/** What kind of dough this will be: the ruler from crumbly to pourable with its two moments. */
export function Feel({ consistency }: { consistency: Consistency }) {
  const numbers = useNumbers();
  const { now, rested, balance, holds, clings, shift } = consistency;
  const units = useUnits();
  const band = BAND_WORD[rested.band];
  const rest = formatDuration(balance.restMin * 60);
  const from = placeOf(rested.low);
  const to = placeOf(rested.high);
  return (
    <section aria-label={words.whatKindOfDough}>
      <p className="text-sm">
        <Term id="feel">{words.howItFeels}</Term>{' '}
        {words.afterOfRest(rest, band.name.toLowerCase(), band.like)}
        {likelyWords(rested.likely, rested.band) && <>; {likelyWords(rested.likely, rested.band)}</>}
      </p>
      <div aria-hidden className="relative mt-3 mb-1 h-11">
        <div className="absolute inset-x-0 top-4 flex h-5 overflow-hidden rounded-sm border border-ink">
          {BANDS.map((band, index) => (
            <span
              key={band}
              className={cx(
                'flex-1 border-l border-ink first:border-0',
                band === rested.band ? 'bg-surface' : 'bg-well',
              )}
              style={{ opacity: band === rested.band ? 1 : 0.35 + 0.1 * index }}
            />
          ))}
        </div>
        <span
          className="absolute top-[1.4rem] h-2 rounded-full bg-ink"
          style={{ left: `${from}%`, width: `${Math.max(1, to - from)}%` }}
        />
        <span
          className="absolute top-2.5 h-8 w-1 -translate-x-1/2 rounded-full bg-ink"
          style={{ left: `${placeOf(rested.s)}%` }}
        />
        <span
          className="absolute top-0.5 size-3 -translate-x-1/2 rounded-full border-2 border-ink bg-surface"
          style={{ left: `${placeOf(now.s)}%` }}
        />
      </div>
      <div aria-hidden className="flex text-center text-xs text-soft">
        {BANDS.map((band) => (
          <span key={band} className={cx('flex-1', band === rested.band && 'font-semibold text-ink')}>
            {BAND_WORD[band].short}
          </span>
        ))}
      </div>
      <p className="mt-2 text-sm">
        <span
          aria-hidden
          className="mr-1.5 inline-block size-2.5 rounded-full border-2 border-ink bg-surface"
        />
        {words.atTheEndOfMixing}
        <strong data-testid="band-now">{BAND_WORD[now.band].name.toLowerCase()}</strong>
      </p>
      <Why>
        <p>
          {words.saturationFourTimesInFive(
            numbers.decimal(rested.s, 2),
            numbers.decimal(rested.low, 2),
            numbers.decimal(rested.high, 2),
            units.mass(balance.waterG - balance.boundG),
            units.mass(balance.softeningG),
            units.mass(balance.demandG),
          )}
        </p>
        <p>
          {words.theBinderHoldsTheMass(
            Math.round(100 * holds),
            Math.round(100 * clings),
            numbers.decimal(shift, 3),
          )}
        </p>
        <p>{words.mixedThenUntilItIs(formatDuration(balance.mixMin * 60), rest)}</p>
      </Why>
    </section>
  );
}
