/** Two things that are bought or written for one another, and are not the same in a dough. */
export interface LookAlike {
  readonly ids: readonly [string, string];
  /** What goes wrong, in one sentence that is true in both directions. */
  readonly difference: string;
}

/** The confusions that spoil gluten-free doughs most often; each one a sentence the sheet and the library can show. */
export const LOOK_ALIKES: readonly LookAlike[] = [
  {
    ids: ['potato-starch', 'potato-flour'],
    difference:
      'Potato flour is the whole cooked potato and absorbs about six times as much water as potato starch.',
  },
  {
    ids: ['cassava-flour', 'tapioca-starch'],
    difference:
      'Cassava flour is the whole root with its fibre; tapioca starch is the starch alone. In some countries both are sold as tapioca flour.',
  },
  {
    ids: ['bought-blend-plain', 'bought-blend-gum'],
    difference:
      'One brings its own gum, the other none: swapped, a dough has twice the gum or crumbles. The label says which.',
  },
  {
    ids: ['tapioca-starch', 'sour-tapioca-starch'],
    difference: 'Sour tapioca starch is fermented and puffs by itself in the oven; the plain one does not.',
  },
  {
    ids: ['psyllium-husk', 'psyllium-powder'],
    difference:
      'Weight for weight they are the same; by the spoon the powder is about twice as much, and it takes its water faster.',
  },
  {
    ids: ['maize-flour', 'maize-starch'],
    difference: 'One is the ground grain, the other its starch. “Cornflour” means the starch in Britain.',
  },
  {
    ids: ['white-rice-flour', 'sweet-rice-flour'],
    difference: 'Glutinous rice flour turns sticky and stretchy; the plain one bakes dry and crumbly.',
  },
  {
    ids: ['white-rice-flour', 'rice-starch'],
    difference: 'Rice flour is the whole white grain; rice starch is finer, lighter and has no protein.',
  },
  {
    ids: ['baking-soda', 'baking-powder'],
    difference: 'Baking soda is about three times as strong and needs an acid; powder carries its own acid.',
  },
  {
    ids: ['instant-yeast', 'fresh-yeast'],
    difference: 'Three grams of fresh yeast do the work of one gram of instant yeast.',
  },
  {
    ids: ['instant-yeast', 'active-dry-yeast'],
    difference: 'Active dry yeast wants waking in warm water, and a quarter more of it.',
  },
  {
    ids: ['ground-linseed', 'linseed-whole'],
    difference: 'Whole linseed gives hardly any gel; only ground it binds.',
  },
  {
    ids: ['ground-almonds', 'almond-drink'],
    difference: 'The meal is half fat, the drink is nearly all water.',
  },
  {
    ids: ['maize-starch', 'pregelatinised-starch'],
    difference: 'Pregelatinised starch swells cold and absorbs about nine times as much.',
  },
  {
    ids: ['maize-starch', 'wheat-starch-gluten-free'],
    difference:
      'One comes from maize, the other from wheat: processed wheat starch is never safe in wheat allergy.',
  },
  {
    ids: ['egg-white', 'egg-white-powder'],
    difference: 'The powder is egg white without its water: one part for eight.',
  },
  {
    ids: ['coconut-milk', 'coconut-oil'],
    difference: 'Coconut milk is three quarters water.',
  },
];

/** What an ingredient is easily taken for. */
export function lookAlikesOf(
  ingredientId: string,
): readonly { readonly otherId: string; readonly difference: string }[] {
  return LOOK_ALIKES.flatMap(({ ids: [one, other], difference }) =>
    one === ingredientId
      ? [{ otherId: other, difference }]
      : other === ingredientId
        ? [{ otherId: one, difference }]
        : [],
  );
}
