import { BANDS, type Band } from '@/core/consistency';

/** How bakers say it: what it is, what it is like, what one does with it. */
export const BAND_WORD: Record<
  Band,
  { readonly name: string; readonly like: string; readonly short: string }
> = {
  crumbly: { name: 'Crumbly', like: 'like damp sand; it will not come together', short: 'crumbly' },
  stiff: { name: 'Stiff', like: 'like modelling clay; rolls out, but cracks', short: 'stiff' },
  soft: { name: 'Soft, shapes', like: 'like soft putty; can be rolled and shaped', short: 'soft' },
  sticky: { name: 'Sticky', like: 'like stiff mash; oiled or wet hands', short: 'sticky' },
  thickBatter: { name: 'Thick batter', like: 'like thick custard; spread or scoop it', short: 'batter' },
  pourable: { name: 'Pourable', like: 'like pancake batter; pours from the bowl', short: 'pours' },
};

export const BAND_OPTIONS = BANDS.map((band) => ({ value: band, label: BAND_WORD[band].name }));
