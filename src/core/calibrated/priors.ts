/**
 * The figures that `./crumb calibrate` fits to practice, and what was believed of each before: from cereal-science and
 * food-engineering texts where there is one, else from craft. `log`: the spread is relative (one sd of the logarithm), and the figure stays
 * positive; otherwise in the figure's own unit.
 */
export interface Prior {
  readonly value: number;
  readonly sd: number;
  readonly log: boolean;
  readonly group: 'consistency' | 'fermentation' | 'heat';
  /** What it is, with its unit, and where it comes from. */
  readonly means: string;
}
type Group = Prior['group'];
const log =
  (group: Group) =>
  (value: number, sd: number, means: string): Prior => ({ value, sd, log: true, group, means });
const plain =
  (group: Group) =>
  (value: number, sd: number, means: string): Prior => ({ value, sd, log: false, group, means });

const h = { log: log('heat'), plain: plain('heat') };
const f = { log: log('fermentation'), plain: plain('fermentation') };
const c = { log: log('consistency'), plain: plain('consistency') };

export const PRIORS = {
  'absorbs.fine': c.log(1, 0.12, 'fine flours’ absorption in a dough against the library’s figure'),
  'absorbs.starch': c.log(1, 0.12, 'the same of starches'),
  'absorbs.whole': c.log(1, 0.12, 'the same of whole-grain and seed flours'),
  'absorbs.pulse': c.log(1, 0.12, 'the same of pulse flours'),
  'absorbs.psyllium': c.log(1, 0.15, 'the same of psyllium'),
  'absorbs.cellulose': c.log(1, 0.15, 'the same of HPMC and its like'),
  'absorbs.gum': c.log(1, 0.15, 'the same of xanthan, guar and other gums and fibres'),
  'absorbs.seed': c.log(1, 0.15, 'the same of ground linseed and chia'),
  competition: c.log(
    0.6,
    0.5,
    'how far binders find less than they would absorb alone: their wish over 1 + this × wish over the flours’ wish',
  ),
  'fast.fine': c.plain(
    0.93,
    0.04,
    'share of their water that fine flours and starches take within a minute or two (wetting)',
  ),
  'fast.whole': c.plain(0.8, 0.08, 'the same of whole-grain flours; bran goes on swelling'),
  'fast.swelling': c.plain(0.5, 0.1, 'the same of psyllium and seeds'),
  'fast.gum': c.plain(0.85, 0.08, 'the same of fine gums and HPMC'),
  swelling: c.log(
    1,
    0.5,
    'time constant of what swells against the library’s, which is that of a powder alone in plenty of water',
  ),
  feelPower: c.plain(
    1,
    0.08,
    'what the hand reads, as a power of liquid over demand: below 1 powders hold a little more where there is more',
  ),
  'free.egg': c.plain(
    0.65,
    0.15,
    'share of an egg’s water that loosens a dough; the rest stays in its proteins',
  ),
  'free.solid': c.plain(0.35, 0.15, 'the same of cheese, cooked potato, grated vegetables'),
  oilSoftens: c.plain(0.4, 0.08, 'oil as softening liquid, g/g (bakers’ rule for shortened doughs)'),
  sugarSoftens: c.plain(
    0.25,
    0.1,
    'dissolved sugar as softening liquid, g/g: its own volume less what it takes from the powders',
  ),

  'gas.rate': f.log(
    1.2,
    0.2,
    'CO2 of one gram of fresh baker’s yeast in a plain dough at 28.5 °C, ml/min at 1 atm (rheofermentometer practice)',
  ),
  'gas.dose': f.plain(0.95, 0.06, 'gas goes with the yeast to this power: cells crowd one another'),
  waking: f.log(1, 0.3, 'time until a leaven works at full pace, against its usual (parameters.ts)'),
  'cardinal.min': f.plain(
    1,
    1.5,
    'coldest at which dough gasses, °C (baker’s yeast studies; form: Rosso et al. 1993)',
  ),
  'cardinal.best': f.plain(36, 1.2, 'at which it gasses fastest, °C'),
  osmotic: f.log(0.15, 0.35, 'brake exp(−k·osm²) of salt and sugar in the dough’s water, k for osmol/kg'),
  'freed.fine': f.log(0.9, 0.4, 'sugar that a fine flour’s enzymes free, % of it; starches a tenth of that'),
  'freed.whole': f.log(2.2, 0.4, 'the same of whole-grain, pulse and seed flours'),
  halfSpeed: f.log(0.12, 0.5, 'sugar left at which gassing is half as fast, % of the flours'),
  'growth.yeast': f.log(0.2, 0.3, 'growth of baker’s yeast in dough at its best, 1/h'),
  'growth.wild': f.log(0.6, 0.3, 'growth of a wild culture in dough at its best, 1/h'),
  'wild.ripe': f.log(1, 0.4, 'ripe starter’s gassing, g of fresh yeast’s worth in 100 g'),
  'wild.end': f.log(
    2.8,
    0.3,
    'where a wild culture’s growth ends, g of fresh yeast’s worth per 100 g of flours',
  ),
  'bubbles.exchange': f.log(
    4,
    0.4,
    'time constant with which bubbles and dough water even out their CO2, min',
  ),
  caught: f.plain(
    0.93,
    0.04,
    'of the gas that goes into bubbles, the share a sound dough keeps while it has room',
  ),
  leak: f.log(0.08, 0.4, 'held gas that seeps away at 25 °C, share per hour'),
  tiring: f.log(90, 0.35, 'time constant with which a full dough tires, min'),
  'tired.loses': f.plain(0.45, 0.12, 'share of its holding that a wholly tired dough has lost'),
  'holds.bare': f.log(
    0.3,
    0.35,
    'gas that fine flours and starches hold without binder, volumes of the dough',
  ),
  'holds.bareWhole': f.log(0.7, 0.35, 'the same of whole-grain flours (their own gums)'),
  'holds.psyllium': f.log(1.25, 0.3, 'what psyllium adds at its most'),
  'holds.cellulose': f.log(2.2, 0.3, 'what HPMC and its like add'),
  'holds.gum': f.log(0.8, 0.3, 'what xanthan, guar and other gums add'),
  'holds.seed': f.log(0.4, 0.4, 'what linseed and chia add'),
  'holds.egg': f.log(0.6, 0.35, 'what egg adds'),
  'holds.wholeLoses': f.plain(
    0.35,
    0.12,
    'of the binders’ part, what bran takes in an all whole-grain dough',
  ),
  'feel.best': f.plain(1.02, 0.06, 'saturation at which a dough holds most'),
  'feel.dry': f.log(0.22, 0.25, 'how fast that falls towards dry, sd of the logarithm of saturation'),
  'feel.wet': f.log(0.35, 0.3, 'and towards wet'),
  'knock.firm': f.plain(
    0.3,
    0.15,
    'what pressing all gas out of a psyllium dough does to its catching of new gas, share',
  ),
  'knock.batter': f.plain(0.65, 0.15, 'the same of other doughs'),
  'spring.psyllium': f.log(
    1.25,
    0.12,
    'what a psyllium dough holds in the oven against at rest: skin and first set starch',
  ),
  'spring.cellulose': f.log(1.3, 0.12, 'the same of HPMC, which gels hot'),
  'spring.gum': f.log(1.05, 0.12, 'the same of other gums'),
  'spring.egg': f.log(1.3, 0.12, 'the same of egg'),
  'spring.bare': f.log(0.95, 0.15, 'the same without binder'),
  'powder.cold': f.plain(0.4, 0.1, 'part of a double-acting powder that works without heat'),
  'frozen.dies': f.log(0.3, 0.4, 'yeast alive after w weeks at −18 °C: (1 + w) to this power, below'),
  'frozen.weakens': f.log(0.09, 0.4, 'the same of the dough’s holding'),
  coldWetting: f.log(0.12, 0.4, 'yeast lost per °C below 15 when dry yeast meets cold water, share'),
  skinning: f.plain(0.2, 0.1, 'share of its holding a dough loses whose skin has dried'),

  conduction: h.log(
    0.85,
    0.15,
    'conductivity of the dough’s own matter against its composition (parallel paths run high)',
  ),
  'vapour.path': h.log(
    0.4,
    0.4,
    'the open part of the vapour path through bubbles, against straight free pores with wet walls',
  ),
  'vapour.most': h.log(0.5, 0.5, 'the most that vapour adds to conduction near boiling, W/(m K)'),
  'vapour.walls': h.log(
    1.4,
    0.3,
    'how vapour’s part falls as bubbles’ walls grow thin: p (1 − p) to this power',
  ),
  'crust.conducts': h.log(
    0.065,
    0.25,
    'a dry crust’s conductivity, W/(m K) (Zanoni et al. 1995; Rask 1989: 0.06-0.1)',
  ),
  'crust.passes': h.log(
    0.1,
    0.7,
    'what a dry crust lets vapour through, against still air (open pores, winding: Thorvaldsson & Janestad 1999 in order of size)',
  ),
  'crumb.creep': h.log(
    2.5e-10,
    0.5,
    'how water moves in crumb at 25 °C, m²/s (Rask 1989: 1e-10 to 2e-9 between 20 and 100 °C)',
  ),
  'skin.halfActivity': h.log(
    0.07,
    0.3,
    'water per dry matter at which its activity is a half, at 100 °C, kg/kg (starch sorption)',
  ),
  'air.static': h.log(8, 0.2, 'natural convection in a domestic oven, W/(m² K)'),
  'air.fan': h.log(21, 0.2, 'the same of a fan'),
  'air.rack': h.log(8, 0.25, 'still air over a cooling rack'),
  'oven.emissivity': h.plain(0.85, 0.07, 'of an oven’s walls to a dough'),
  'oven.floor': h.log(30, 0.4, 'how much warmer than its air a static oven’s floor is, °C'),
  'flame.dome': h.log(60, 0.5, 'how much warmer than its air a flame oven’s dome glows, °C'),
  'touch.wet': h.log(120, 0.35, 'wet dough on hot stone, steel or iron, W/(m² K)'),
  'touch.tray': h.log(38, 0.25, 'dough on a tray through paper or grease'),
  'touch.tin': h.log(90, 0.25, 'dough in a greased tin'),
  'touch.dry': h.plain(
    0.15,
    0.06,
    'of a touch, what is left where the skin has dried: it shrinks, blisters and stands on its own steam',
  ),
  'touch.gap': h.log(
    14,
    0.3,
    'heat over the gap under a dried base, W/(m² K): glow, and half a millimetre of hot air in part',
  ),
  'oven.vent': h.log(1.5, 0.3, 'air that a closed domestic oven’s vent exchanges, l/s'),
  'steam.inward': h.plain(
    0.6,
    0.2,
    'of the steam that arises under a touching side, the share that leaves through the crumb and warms it',
  ),
  'fry.skin': h.log(400, 0.3, 'oil on a boiling skin, W/(m² K)'),
  'brown.rate': h.log(0.2, 0.5, 'browning of a dry ordinary skin at 160 °C, index per minute'),
  'brown.energy': h.log(
    120_000,
    0.08,
    'its activation energy, J/mol (Purlis 2010 and others: 60-120 kJ/mol for bread crust)',
  ),
  'brown.wet': h.log(0.09, 0.35, 'water per dry matter of the skin that halves its browning'),
  'brown.sugar': h.plain(0.6, 0.25, 'browning goes with the dough’s sugar to this power'),
  'spot.skin': h.log(
    450,
    0.35,
    'effusivity of a drying skin in the spots that touch best, W s½/(m² K): how near they come to what they lie on',
  ),
  'skin.springs': h.plain(0.55, 0.15, 'of the oven’s growth, what a bare skin without steam or lid allows'),
  'firm.min': h.log(40, 0.3, 'time constant with which a warm crumb firms as its starch sets, min'),
} as const satisfies Record<string, Prior>;

export type FigureName = keyof typeof PRIORS;
export type Figures = Readonly<Record<FigureName, number>>;
export const FIGURE_NAMES = Object.keys(PRIORS) as FigureName[];
