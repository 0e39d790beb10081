import type { Notice } from '@/core/notices';
import { never } from '@/core/result';
import { formatDuration } from '@/core/units';
import { BAND_WORD } from './bands';
import { STYLE_WORD } from './words';

const percent = (value: number): string => `${value.toFixed(value < 10 ? 1 : 0)} %`;

/** One notice in one or two sentences: what is so, what to expect of it, what is usual. */
export function wordNotice(notice: Notice, nameOf: (id: string) => string): string {
  switch (notice.code) {
    case 'bandForStyle':
      return `${BAND_WORD[notice.band].name} after its rest: unusual for ${STYLE_WORD[notice.style].toLowerCase()}, which is mostly worked ${notice.fits.map((band) => BAND_WORD[band].name.toLowerCase()).join(' or ')}.`;
    case 'thickens':
      return `It thickens by itself: ${BAND_WORD[notice.now].name.toLowerCase()} at the end of mixing, ${BAND_WORD[notice.rested].name.toLowerCase()} after ${formatDuration(notice.restMin * 60)}. Don’t add flour before then.`;
    case 'noBinder':
      return 'Nothing in it binds: no psyllium, gum, egg or gel. Expect it to crumble and to let its gas go.';
    case 'noWater':
      return 'No water in it yet.';
    case 'noSalt':
      return 'No salt. It will taste flat and ferment fast; 1.5–2.5 % of the flours is usual.';
    case 'noLeaven':
      return 'Nothing makes it rise: no yeast, starter or baking powder.';
    case 'twoBinders':
      return `${nameOf(notice.gumId)} ${percent(notice.gumPercent)} with psyllium ${percent(notice.psylliumPercent)}: expect cling and a gummy bite; usual together is up to ${percent(notice.usualTo)} of the gum.`;
    case 'overMost':
      return `${nameOf(notice.ingredientId)} ${percent(notice.percent)} is more than makes sense; ${percent(notice.most)} is about the most.`;
    case 'overUsual':
      return `${nameOf(notice.ingredientId)} ${percent(notice.percent)}: more than the usual ${notice.from}–${notice.to} %.`;
    case 'underUsual':
      return `${nameOf(notice.ingredientId)} ${percent(notice.percent)}: less than the usual ${notice.from}–${notice.to} %.`;
    case 'binderInside':
      return `${nameOf(notice.ingredientId)} brings ${nameOf(notice.binderId).toLowerCase()} of its own, ${percent(notice.insidePercent)} of the flours${notice.percent > notice.insidePercent * 1.001 ? `: with what you add there are ${percent(notice.percent)}` : ', beside the binder you add'}.`;
    case 'mostlyStarch':
      return `${percent(notice.percent)} of the base is pure starch: light and white, but bland, and stale by tomorrow.`;
    case 'sugarBrakes':
      return `Sugar ${percent(notice.percent)} slows the yeast; it brakes from about 8 % on. Give it more time or more yeast.`;
    case 'saltBrakes':
      return `Salt ${percent(notice.percent)} slows the yeast and tastes salty; 1.5–2.5 % is usual.`;
    case 'yeastHigh':
      return `Yeast worth ${percent(notice.freshPercent)} of fresh: a fast rise that tastes of yeast and soon falls.`;
    case 'sodaWithoutAcid':
      return 'Baking soda without an acid: little gas, and a soapy taste. Vinegar, yoghurt or cream of tartar wakes it.';
    case 'lookAlike':
      return `${nameOf(notice.ingredientId)} ${percent(notice.percent)}: is it perhaps ${nameOf(notice.otherId).toLowerCase()}? ${notice.difference}`;
    case 'psylliumThirsty':
      return `Psyllium ${percent(notice.percent)} with only ${percent(notice.hydrationPercent)} water: dry and rubbery. Such a dose wants 100 % and more.`;
    case 'manyFlours':
      return `${notice.count} flours and starches: when it turns out well, nobody will know which of them did it.`;
    default:
      return never(notice);
  }
}
