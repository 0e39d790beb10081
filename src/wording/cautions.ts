import type { Caution } from '@/core/cautions';
import { never } from '@/core/result';
import { formatDecimal, formatTemperature, type TemperatureUnit } from '@/core/units';

/** A caution: one sentence, and the longer text behind it. */
export function wordCaution(
  caution: Caution,
  nameOf: (id: string) => string,
  unit: TemperatureUnit,
): { readonly short: string; readonly long: string } {
  const names = caution.ingredientIds.map((id) => nameOf(id).toLowerCase()).join(', ');
  switch (caution.code) {
    case 'wheatStarch':
      return {
        short: 'Made from wheat: never for somebody with wheat allergy.',
        long: 'Specially processed wheat starch may be sold as gluten-free where its gluten is below the legal limit. It still holds traces of wheat protein. Say so to whoever eats it, and ask before serving it to a coeliac.',
      };
    case 'oats':
      return {
        short: 'Oats: only certified gluten-free, and some coeliacs react even to those.',
        long: 'Ordinary oats grow and are milled beside wheat and barley. In some countries no oats may be called gluten-free. New to a gluten-free diet, leave them out until a doctor or dietitian says otherwise.',
      };
    case 'certified':
      return {
        short: `Only if its label says gluten-free: ${names}.`,
        long: 'It is made beside or out of grains with gluten; only the certified product is meant here. Keep the label with the lot.',
      };
    case 'crossContact':
      return {
        short: `Free of gluten by nature, often milled beside wheat: ${names}.`,
        long: 'Buy it labelled gluten-free or from a mill that handles no wheat, and keep it apart: flour dust hangs in the air and lies on scoops, sieves, wooden boards, proofing baskets, stones and toasters.',
      };
    case 'lupinPeanut':
      return {
        short: 'Lupin can set off a reaction in people with peanut allergy.',
        long: 'Lupin is an allergen of its own in many countries and cross-reacts with peanut. It has to be declared.',
      };
    case 'egg':
      return {
        short: 'All eggs are egg: hen, duck, quail, goose.',
        long: 'In egg allergy another bird’s egg is no way out; nor is egg white alone, nor dried egg.',
      };
    case 'psylliumWater':
      return {
        short: `Psyllium ${formatDecimal(caution.percent, 1)} %: drink with this bread, and take tablets at another time.`,
        long: 'Psyllium swells to many times its volume. Eaten dry or without drinking it can block the gullet; it also holds back medicines. People with swallowing or bowel trouble should ask their doctor.',
      };
    case 'psylliumDust':
      return {
        short: 'Psyllium dust can make people allergic: pour it slowly, don’t breathe it.',
        long: 'Those who handle it daily are at risk of becoming sensitive to its dust. Weigh it low over the bowl, with air moving away from you.',
      };
    case 'warmHold':
      return {
        short: `Egg or dairy stays warm for up to ${formatDecimal(caution.hours, 1)} h${caution.tempC === null ? '' : ` at ${formatTemperature(caution.tempC, unit)}`}: keep that short or cold.`,
        long: `Between 8 and 60 °C (46–140 °F) bacteria grow in ${names}. Most food rules allow two hours, four at the very most. Rise it in the fridge, or leave the egg and dairy out of what stands long.`,
      };
    case 'smokePoint':
      return {
        short: `${formatTemperature(caution.tempC, unit)} is too near the smoke point of ${names} (${formatTemperature(caution.smokePointC, unit)}).`,
        long: 'A fat that smokes tastes of it, and a little hotter it catches fire. Use a refined oil with a higher smoke point, or less heat.',
      };
    case 'lyeInDough':
      return {
        short: 'Lye is for a dipping bath alone: never into a dough, a topping or a sauce.',
        long: 'Put it into a part of the kind “Kettle”, 30 to 40 g to a litre of cold water. Baked on a skin it turns harmless; eaten as it is it burns.',
      };
    case 'lye':
      return {
        short: 'Lye burns skin and blinds: goggles, gloves, long sleeves; children and animals out.',
        long: 'Lye into cold water, slowly, never water into lye: it boils up. Glass, stainless steel or plastic, no aluminium, no wood. Vinegar at hand for what is spilt; in an eye rinse a quarter of an hour and see a doctor. Bake pieces dark: what is left pale tastes of it.',
      };
    case 'hotOil':
      return {
        short: 'Hot oil: never leave it, and never water on an oil fire.',
        long: 'Fill the pot to a third at the most, keep a lid at hand, dry what goes in. If it catches: heat off, lid on, leave it.',
      };
    case 'spitting':
      return {
        short: `Wet pieces spit: ${names} may burst in the oil.`,
        long: 'Steam that cannot get out throws hot oil. Pat fillings dry, close the dough well, lay pieces in away from you, stand back.',
      };
    case 'boilingSugar':
      return {
        short: 'A kettle with sugar is hotter than water and sticks to skin.',
        long: 'Syrup on skin burns deep. Lower pieces in with a skimmer, keep children away; a burn goes under cool running water for twenty minutes.',
      };
    case 'openFlame':
      return {
        short: 'An open flame makes carbon monoxide: only with a chimney, or outdoors.',
        long: 'Never burn wood, charcoal or gas in a room without a flue that draws. An alarm for carbon monoxide costs little. Keep cloths and long sleeves away from the mouth of the oven.',
      };
    case 'honey':
      return {
        short: 'Honey: not for children under one year.',
        long: 'It can carry spores that harm infants. In a well-baked loaf the risk is small, but baking does not surely kill them.',
      };
    case 'favism':
      return {
        short: 'Faba beans: not for people with G6PD deficiency.',
        long: 'They can break down red blood cells in people with this inherited lack. Ask, or choose another pulse flour.',
      };
    case 'rawFlour':
      return {
        short: 'Raw dough is not for tasting.',
        long: 'Flour is a raw product; germs in it die only in the oven. Wash hands and board after mixing.',
      };
    case 'glutenInName':
      return {
        short: `Its name holds a grain with gluten: ${names}.`,
        long: 'You entered this ingredient as free of gluten, and its name says wheat, rye, barley or one of their kin. Check it before anybody eats of it.',
      };
    default:
      return never(caution);
  }
}
