import type { StepKind } from '../../method/step';

/** What is known of the bread when a clause is read. */
export interface Stage {
  /** There is a dough. */
  readonly mixed: boolean;
  readonly risen: boolean;
  readonly shaped: boolean;
  /** It has been in the oven, the oil, the pan. */
  readonly heated: boolean;
  /** The oven was turned off. */
  readonly off: boolean;
  /** What was heated up last, to cook in. */
  readonly medium: 'oven' | 'pan' | 'oil' | 'water' | null;
  /** The clause is about a sauce, a filling, a bath: not about the dough. */
  readonly aside: boolean;
  /** The step before, and its words. */
  readonly last: { readonly kind: StepKind; readonly text: string } | null;
}

/**
 * What a clause does: a step of a kind; `lower`: sets the oven for what follows; `off`: turns it off; `repeat`: the step before again; `turnSide`: turns what
 * is being heated; `ahead`: goes with what comes next; `uncover`: so too, and a new stretch of the same heating begins; `remark`: nothing to do; null: not
 * understood.
 */
export type Action =
  StepKind | 'lower' | 'off' | 'repeat' | 'turnSide' | 'ahead' | 'uncover' | 'remark' | null;

type Rule = readonly [Action, RegExp, ((stage: Stage, text: string) => boolean)?];

export const NOT =
  /^(?:do not|don['’]t|never|avoid|no need|there is no (?:need|bulk|proof|second|first|rise|kneading)|no (?:bulk|proof|prove|rise|rising|kneading|resting|rest|second|first|folding|need|shaping|preheating)\b|without\b|(?:it|the dough|this dough|they) (?:does not|doesn['’]t|need not|needs no|do not|don['’]t|is not|isn['’]t|will not|won['’]t)\b|skip|be careful|take care|make sure|remember|put the kettle on|keep an eye|watch|check|look|they keep|this (?:is|bread|dough|makes)|enjoy|serve|out of the (?:tin|oven|pan) after|the (?:bread|loaf|crumb) (?:is|keeps|will keep)|keeps? (?:for )?\d|note)\b/i;

const TIN = String.raw`(?:tins?|pans?|banneton|baskets?|moulds?|molds?|rings|loaf tin|dish|pullman|cake tin)`;
const FREEZES = /\b(?:freezer|freeze)\b/i;
const COLD =
  /\b(?:fridge|refrigerat\w*|chill\w*|overnight in the cold|in the cold|retard\w*|cold (?:proof|ferment\w*|room))\b/i;
export const RISES =
  /\b(?:rise[sn]?|rising|doubles?d?|doubling|puffy|proof\w*|prov(?:e|es|ed|ing)|ferment\w*|half as big again|has grown|grown by|tripled?)\b/i;
export const RESTS =
  /\b(?:rest\w*|stand|sit|relax|bench rest|hydrat\w*|thicken\w*|gel(?:s|led)?|autolyse|absorb\w*|swell\w*)\b/i;
const YEASTY = /\byeast\b/i;
export const WAITS =
  /^(?:let|leave|allow|set (?:it |this |them |the \w+ )?aside|stand|keep|cover|wait|put|place|hold|give|rest|sits?|the (?:dough|batter|pieces|rolls|loaf|loaves)|it|they|after|set)\b/i;
const BREAD_OUT =
  /\b(?:rack|turn(?:ed)? (?:it |the (?:loaf|bread) |them )?out(?! on(?:to)? (?:a|the) (?:floured|board|bench|worktop|counter|surface|work))|de-?mould|unmou?ld|out of (?:the|its) tin)\b/i;

/** What a clause does by its words, the first that fits. A rule may ask what is known of the bread. */
// prettier-ignore
export const RULES: readonly Rule[] = [
  ['uncover', /^(?:remove|take|lift|release|open|let)\b.*\b(?:lid|foil|steam|paper|parchment|vent|cover)\b|^uncover\b|^lid off\b/i, ({ heated, medium }, text) => heated && medium === 'oven' && !/\d/.test(text)],
  ['ahead', /^(?:cover|tent|put (?:on )?the lid|close the (?:lid|pot)|lid on)\b/i, (_, text) => !/\d\s?(?:h|min|hour)|\bovernight\b|\bfoil\b.*\d/i.test(text) && !RISES.test(text) && !COLD.test(text)],
  ['ahead', /^(?:place|put|set|pour|slide)\b.*\b(?:tray|dish|tin|pan|cup) of (?:hot |boiling )?water\b|^(?:pour|throw|tip)\b.*\bwater (?:in|into|onto|on) (?:the|a) (?:hot |lower |bottom )?(?:tray|oven|dish|tin|pan|floor)\b|^(?:oil|wet|flour) your hands\b|^flour (?:a|the|your) (?:peel|board|worktop|work surface)\b/i],
  ['ahead', /^(?:turn|tip) (?:the dough |it |everything )?out\b|^(?:turn|tip|put|place|transfer|lift) .*\b(?:board|worktop|work surface|counter|bench|surface)\b|^take (?:the dough|it) out\b/i, ({ mixed, heated }, text) => mixed && !heated && !/\d\s?(?:h|min|hour)/i.test(text)],
  ['rest', /^take (?:the dough|it|them) out\b.*\d\s?(?:h|min|hour)/i, ({ mixed, heated }) => mixed && !heated],
  ['repeat', /^(?:repeat|do (?:this|the same)|again (?:after|every)|give it (?:another|two more|one more) (?:folds?|sets?|turns?))\b/i],
  ['off', /^(?:turn|switch) (?:the oven |it |everything )?off\b(?!.*\b(?:leave|let|keep|stay)\b)|^(?:turn|switch) off\b(?!.*\b(?:leave|let|keep|stay)\b)|^oven off\b(?!.*\bmin)/i],
  ['coast', /\b(?:turn(?:ed)?|switch(?:ed)?)(?: the oven| it)? off\b.*\b(?:leave|let|keep|stay|inside|in the)\b|\b(?:turned|switched)[- ]off oven\b|\b(?:door|oven) (?:slightly )?ajar\b|\bdoor (?:slightly |cracked )?open\b|^oven off\b|\bcooling oven\b|\b(?:in|with) the oven off\b/i],
  ['coast', /^(?:leave|let|keep)\b/i, ({ off, heated }, text) => off && heated && !BREAD_OUT.test(text) && !/^let cool|cool complete|^leave to cool (?:on|comp)/i.test(text)],
  ['preheat', /^(?:pre-?heat|heat (?:up )?(?:the |your |an? |both )?(?:oven|grill|stone|steel|baking steel|pot|dutch|iron)|turn (?:on )?(?:the |your )?oven (?:on|to)|turn on the oven|set (?:the |your )?(?:\w+ )?oven|light the oven|switch (?:on )?the oven|get the oven|oven (?:to|at|on)\b|oven:)/i],
  ['preheat', /^(?:put|place|slide) (?:a |the |your )(?:[\w-]+ ){0,3}(?:stone|steel|pot|dutch oven|casserole|baking tray|tray of water)\b.*\b(?:oven|cold oven)\b/i, ({ heated }) => !heated],
  ['preheat', /^heat (?:it|both|everything) (?:up )?to\b/i, ({ last }) => last?.kind === 'preheat'],
  ['preheat', /^(?:heat|warm|get|bring) (?:up )?(?:the |your |about |some )?.*\b(?:oil|fat|fryer)\b/i],
  ['preheat', /^(?:heat|warm|get) (?:up )?(?:a |the |your )?(?:[\w-]+ ){0,3}(?:pan|pot|skillet|griddle|plate|iron|wok)\b|^melt\b.*\bin (?:a|the) (?:[\w-]+ )?(?:pan|skillet)\b/i, ({ shaped, mixed }, text) => shaped || (mixed && !/^melt/i.test(text))],
  ['preheat', /^(?:bring|boil|put on|heat) .*\b(?:water|kettle|pan|pot|bath)\b.*\b(?:boil|simmer|rolling)\b|^(?:bring|heat) .*\b(?:water|kettle)\b.* to (?:[89]\d|100) ?(?:°|C\b)|^boil (?:\d.*|a .*|plenty of |the |some )?(?:water|kettle)\b|^kettle\b/i, ({ mixed, aside }) => mixed || aside],
  ['lower', /^(?:start(?= the oven)|lower|reduce|drop|turn (?:it |the (?:oven|heat|temperature) )?(?:down|up)|turn (?:down|up)|raise|increase|set)\b.*\b(?:oven|heat|temperature|to \d+|down|up)\b(?!.*\binto the oven)/i],
  ['grease', /^(?:grease|butter|oil|line|flour|spray|dust)\b.*\b(?:tins?|pans?|trays?|sheets?|banneton|baskets?|bowl|moulds?|board|worktop|dish|paper|parchment)\b/i],
  ['freeze', /^(?:freeze|open[- ]freeze|(?:put|place|set|pack|transfer|move)\b.*\bfreezer)\b/i],
  ['thaw', /^(?:thaw|defrost|let (?:it|them) (?:thaw|defrost))\b/i],
  ['remark', /\bto serve\b/i, ({ heated }) => heated],
  ['reheat', /^(?:reheat|warm (?:it|them|the (?:bread|loaf|rolls)|through|at|for|in the oven)|toast)\b/i, ({ heated }) => heated],
  ['refresh', /^(?:refresh|crisp (?:it|them) up)\b.*\b(?:oven|bread|loaf|rolls|min)\b/i, ({ heated }) => heated],
  ['ahead', /^wrap\b/i, ({ heated, last }) => !heated && last?.kind !== 'freeze'],
  ['hold', /\bkeep (?:it |them )?warm\b/i, ({ heated }) => heated],
  ['wrap', /^(?:wrap|bag|pack|store|keep)\b/i, ({ heated, last }) => heated || last?.kind === 'freeze'],
  ['preDough', /^(?:make|mix|stir|prepare|start|refresh|feed|whisk|combine)\b.*\b(?:pre-?dough|pre-?ferment|biga|poolish|sponge|leaven|levain|starter)\b/i, ({ mixed }, text) => !mixed && !/\b(?:into|to|with) the (?:starter|sponge|leaven|flours?)\b|\band the (?:starter|sponge)\b|^(?:mix|stir|whisk) in\b/i.test(text)],
  ['bloom', /^(?:bloom|activate|proof the yeast|wake)\b|^(?:dissolve|stir|sprinkle|whisk|mix|crumble|combine|put|add|set)\b.*\byeast\b.*\b(?:water|milk|sugar|honey|liquid)\b/i, ({ mixed }, text) => YEASTY.test(text) && !mixed && !/\bflours?\b|\bpsyllium\b|\bdry ingredients\b|\bsalt\b/i.test(text)],
  ['bloom', /\b(?:foam\w*|froth\w*|bubbl\w*)\b/i, ({ mixed }, text) => !mixed && (WAITS.test(text) || YEASTY.test(text)) && !/\bsponge|starter|biga|poolish|pre-?dough\b/i.test(text)],
  ['remark', /^stir(?: well| it| until| to)?\b[^,]{0,30}$/i, ({ last }) => last?.kind === 'bloom' || last?.kind === 'soak'],
  ['soak', /^soak\b/i],
  ['soak', /\bgel\b|\bthicken(?:s|ed)?\b|\bswell\b|\bhydrate\b/i, ({ mixed, last }, text) => WAITS.test(text) && (!mixed || (last?.kind === 'mix' && !/\b(?:flours?|dough|batter|dry ingredients|everything|all)\b/i.test(last.text)))],
  ['fold', /^(?:stretch-and-fold|fold the dough|fold it|fold (?:each|the) (?:side|corner)|give (?:it|the dough) (?:a |one |two |three |four |\d )?(?:sets? of )?folds?|coil fold|do (?:a |one |two |three |\d )?(?:sets? of )?(?:stretch-and-fold|folds?|coil)|fold every|(?:two|three|four|\d) (?:sets of )?folds)\b/i],
  ['fold', /^fold\b/i, ({ mixed, shaped }, text) => mixed && !shaped && !/\b(?:in|into|through)\b/i.test(text)],
  ['knockBack', /^(?:knock|punch(?! (?:a|the|out) )|deflate|stir (?:it |the \w+ )?down|press out the (?:air|gas)|degas)\b/i],
  ['kneadAgain', /^(?:knead|mix|work)\b.*\bagain\b|^knead\b/i, ({ risen }, text) => risen || /\bagain\b/i.test(text)],
  ['rotate', /^(?:rotate|turn the (?:tray|tin|sheet|loaf)(?! out| over)|turn (?:it|them) round|swap the (?:trays|shelves))\b/i],
  ['turnSide', /^(?:flip|turn (?:it|them|the (?:rings?|bagels?|flats?|breads?|discs?|pieces?|knots?|doughnuts?))?(?: over| once)?(?=[ ,.]|$)|turn the \w+ over|turn over|turning)\b/i, ({ heated, medium }, text) => (heated || medium !== null) && !/\bout\b|\binto\b|\bonto\b|\bdown\b/i.test(text)],
  ['boil', /^(?:boil|poach|simmer|blanch)\b/i, ({ mixed, aside }, text) => mixed && !aside && !/\b(?:sugar|glaze|syrup|milk|potato\w*)\b/i.test(text)],
  ['boil', /^(?:drop|lower|slide|slip|cook|give|put|place|dip|they|it)\b.*\b(?:boiling|simmering|kettle|water bath|soda bath|into the (?:water|bath|pot)|in the (?:water|bath))\b/i, ({ mixed }) => mixed],
  ['boil', /^(?:cook|give|drop|slip|lower|dip|immerse)\b/i, ({ medium, mixed, aside }, text) => medium === 'water' && mixed && !aside && !/\b(?:pan|oven|oil)\b/i.test(text)],
  ['griddle', /^bake\b/i, ({ medium }, text) => medium === 'pan' && !/\boven\b|\d{3}|°/i.test(text)],
  ['griddle', /^fry\b/i, ({ medium, shaped }, text) => shaped && (medium === 'pan' || /\b(?:little|some|a spoon of) (?:butter|oil|ghee)\b|\bin butter\b/i.test(text))],
  ['griddle', /^(?:pour|ladle|spoon|drop|put|lay)\b.*\b(?:hot|dry|frying|heavy)\b[^.]*\b(?:pan|skillet|griddle)\b/i, ({ mixed }, text) => mixed && !/\b(?:tin|loaf|let|rise)\b/i.test(text) && !/\bhot buttered\b/i.test(text)],
  ['fry', /^(?:deep-?fry|fry|frying)\b/i, ({ mixed, aside }, text) => mixed && !aside && !/\b(?:onions?|garlic|dry (?:frying )?pan)\b/i.test(text)],
  ['fry', /^(?:lower|drop|slide|slip|cook|put|place|give)\b.*\b(?:oil|fat|fryer)\b/i, ({ mixed }) => mixed],
  ['fry', /^(?:lower|drop|slide|slip|cook)\b/i, ({ medium, mixed, aside }, text) => medium === 'oil' && mixed && !aside && !/\b(?:oven|heat|temperature|to \d)\b/i.test(text)],
  ['griddle', /^(?:griddle|dry-?fry)\b|^(?:cook|bake|lay|put|place|slap|fry|toast|slide|drop|give)\b.*\b(?:dry (?:frying )?pan|skillet|griddle|hot ?plate|hot (?:iron |dry |heavy |cast-iron )?pan|frying pan|tawa|comal|the pan)\b/i, ({ mixed }, text) => mixed && !/\boven\b/i.test(text)],
  ['griddle', /^(?:cook|lay|put|place|slap|give)\b/i, ({ medium, mixed, aside }, text) => medium === 'pan' && mixed && !aside && !/\b(?:tin|banneton|basket|tray|board|bowl|cloth)\b/i.test(text)],
  ['bake', /^(?:(?:it|they) bakes?|par-?bake|bake|baking|load\b|put (?:it |them )?in(?= at|$|[,.])|return (?:it |them |the \w+ )?to the oven|put (?:it|them) back|finish (?:it |them )?(?:under|in)|roast)\b/i],
  ['bake', /^(?:put|place|slide|get|slip|move|transfer|load|set|cook|lower|tip|drop|give|it goes|they go|into|straight into|in a|in the|then|the (?:loaf|bread|tin|tray|rolls|\w+) go(?:es)?)\b.*\b(?:oven|onto the (?:hot |heated )?(?:stone|steel|iron)|(?:in|into) the (?:hot |heated )?(?:pot|dutch oven|casserole))\b/i, ({ mixed, medium, shaped }, text) => mixed && !/\b(?:light|lamp|off)\b/i.test(text) && (medium !== null || shaped || /\boven\b/i.test(text)) && !RISES.test(text)],
  ['bake', /^give (?:it|them) \d+.*\bmore\b/i, ({ heated }) => heated],
  ['griddle', /^(?:continue|carry on)\b/i, ({ heated, medium }) => heated && medium === 'pan'],
  ['fry', /^(?:continue|carry on)\b/i, ({ heated, medium }) => heated && medium === 'oil'],
  ['bake', /^(?:continue|carry on|keep baking|cook|give (?:it|them) (?:another|a further|a final)|another|a further|then)\b/i, ({ heated, medium }, text) => heated && (medium === 'oven' || medium === null) && !COLD.test(text)],
  ['bake', /^(?:remove|take off|lift off|uncover)\b.*\b(?:lid|foil|cover|uncover\w*)\b|^(?:cover|tent)\b.*\bfoil\b|^(?:remove the lid|lid off|take the lid off|uncover)\b/i, ({ heated }, text) => heated && /\d/.test(text)],
  ['score', /^(?:score|slash|dock|prick|cut (?:a |the |one |two |three |\d |deep |shallow )*(?:slash|cross|line|cuts?|top|surface|slit)|snip|make (?:a |two |three |\d |deep |shallow |several )*(?:slash|cuts?|slits?))\w*\b/i],
  ['fill', /^(?:sprinkle|scatter|add|strew)\b/i, ({ last }) => last?.kind === 'fill'],
  ['top', /^seed(?: them| it| the tops)?\.?$/i, ({ shaped }) => shaped],
  ['top', /^(?:brush|glaze|mist|spray|sprinkle|scatter|strew|top|egg[- ]?wash|dust|drizzle)\b/i, ({ shaped, heated }) => shaped || heated],
  ['top', /^(?:roll|toss|dip|coat|wash|finish)\b.*\b(?:sugar|cinnamon|glaze|seeds?|cheese|polenta|maize|syrup|soda|butter|oats)\b/i, ({ shaped, heated }) => shaped || heated],
  ['top', /\btop (?:them|it|each|the (?:discs|bases|pizzas))\b|^press\b.*\b(?:sesame|seeds|poppy|oats)\b/i, ({ shaped }) => shaped],
  ['top', /^(?:spread|add|spoon|arrange|lay|put)\b.*\b(?:sauce|toppings?|cheese|tomato\w*|glaze|seeds on|on top)\b/i, ({ shaped, heated, mixed }) => shaped || (mixed && heated)],
  ['shape', new RegExp(String.raw`^(?:fill|it goes|they go)\b(?:.*\b(?:in|into|between)\b)?(?: (?:an?|the|two|three|each|your|its|one)) (?:[\w.]+[- ]){0,5}${TIN}\b`, 'i'), ({ mixed, heated }) => mixed && !heated],
  ['fill', /^spread\b.*\b(?:butter|cinnamon|sugar|jam|paste|nuts)\b/i, ({ mixed, heated }, text) => mixed && !heated && !/\bsauce\b/i.test(text)],
  ['fill', /^(?:fill|stuff)\b|^(?:put|place|spoon|spread|pipe|add|lay|scatter|sprinkle)\b.*\bfilling\b/i, ({ mixed }) => mixed],
  ['fill', /^divide (?:the )?(?:filling|topping)\b/i],
  ['shape', /^(?:cut (?:out |into )?(?:rounds|discs|circles|squares|strips|shapes)|fold (?:it |them |the \w+ )?(?:over|up|in half|closed)|bring (?:up )?(?:the )?(?:edges|sides))/i, ({ mixed }) => mixed],
  ['divide', /^(?:divide|portion|scale (?:it |off|out|the|into|at|\d)|(?:pull|tear|cut|take) off \d|split|separate\b.*\binto|pinch off|weigh (?:out |off )?(?:into )?(?:pieces|\d+|eight|ten|twelve|six|four|portions)|slice into \d|cut (?:the dough |it |off |into |in (?:half|two|three|four))|make \d+ (?:balls|pieces)|tear|take (?:a |about )?\d+ ?g\b|take (?:[\w-]+-sized |small |little )(?:pieces|lumps|portions)\b)/i, ({ mixed, heated }) => mixed && !heated],
  ['shape', /^(?:panning|punch (?:a|the|out) |shape|shaping|pre-?shape|form|roll|press|pat|flatten|stretch|mould|mold|braid|plait|twist|pipe|scrape|spoon|smooth|poke|make a hole|join|coil|tuck|round|make (?:\d+ |six |eight |ten |twelve )?(?:balls|rings|rolls|buns|knots|loaves|ovals)|ball up|stamp|cut out|scoop|seal|pinch|crimp|trim|pull|spread|dimple|swirl|work into|make (?:balls|rings|a \w+))\b/i, ({ mixed }) => mixed],
  ['shape', new RegExp( String.raw`^(?:put|place|transfer|turn|tip|lay|drop|pour|fill|move|spread|get|settle|arrange|lower|fit|set|divide|pack|press|scoop)\b.*\b(?:in|into|between|across|over|on|onto|to|the|two) (?:\w+[- ]){0,8}${TIN}\b`, 'i', ), ({ mixed, heated }) => mixed && !heated],
  ['shape', new RegExp(String.raw`^(?:straight )?into (?:(?:an?|the|its|two) )?(?:\w+[- ]){0,5}${TIN}\b`, 'i'), ({ mixed, heated }) => mixed && !heated],
  ['shape', /^(?:put|place|lay|arrange|set|transfer|move|space|tip|turn|spread|lift)\b.*\b(?:trays?|sheets?|parchment|paper|peel|cloth)\b/i, ({ mixed, heated, shaped }) => mixed && !heated && !shaped],
  ['ahead', /^(?:put|place|lay|arrange|set|transfer|move|space|lift)\b.*\b(?:trays?|sheets?|parchment|paper|peel|cloth)\b/i, ({ shaped, heated }) => shaped && !heated],
  ['cool', /\b(?:cool\w*|rack|room temperature before (?:cutting|slicing)|cold before|until (?:completely |quite )?cold)\b/i, ({ heated, aside }) => heated && !aside],
  ['cool', /^(?:cool|cooling)\b.*\b(?:rack|tin|slicing|cutting|completely|before)\b/i, ({ aside }) => !aside],
  ['cool', /^(?:turn|take|lift|remove|tip|pull|drain|release|invert|unmou?ld)\b/i, ({ heated }, text) => heated && (BREAD_OUT.test(text) || /\b(?:out|oil|from the|drain|paper|off the (?:stone|steel|tray|pan|plate))\b/i.test(text)) && !/\bpaper (?:off|away)\b/i.test(text)],
  ['cool', /^rack\b/i, ({ heated }) => heated],
  ['hold', /\bkeep (?:it |them )?warm\b|^hold\b/i, ({ heated }) => heated],
  ['rest', /\b(?:oven (?:light|lamp)|(?:light|lamp) on)\b/i, ({ mixed, heated }) => mixed && !heated],
  ['rest', /\b(?:rest|stand|wait)\b/i, ({ heated }) => heated],
  ['freeze', FREEZES, ({ mixed }, text) => mixed && !/\bcan\b|\bmay\b|\bfreezes? well\b/i.test(text)],
  ['chill', COLD, ({ mixed }, text) => mixed && !/\bfrom the fridge|out of the fridge|cold from\b/i.test(text)],
  ['chill', /^(?:chill|refrigerate|retard|cold)\b/i],
  ['bulk', /^(?:bulk|first (?:rise|proof|prove|ferment\w*)|ferment)\b/i],
  ['proof', /^(?:final|second|last|warm) (?:rise|proof|prove|ferment\w*)\b|^(?:proof|prove)(?:ing)?\b/i, (_, text) => !YEASTY.test(text)],
  ['rest', /^(?:(?:bench|dough) rest|autolyse|rest)\b/i],
  ['free', /^(?:cook|whisk|stir|heat|simmer)\b.*\b(?:scald|roux|tangzhong|yudane)\b/i, ({ mixed }) => !mixed],
  ['weigh', /^(?:weigh|measure)\b/i, ({ mixed }) => !mixed],
  ['mix', /^(?:mix|mixing|whisk|stir|combine|beat|blend|whizz?|whip|pulse|sift|rub|cream|work|incorporate|add|pour|tip|dissolve|mash|toss|drizzle|fold|knead|kneading|measure|bring .*together|scald|squeeze|crumble|swirl|grind|blitz|mill)\b/i],
  ['mix', /^(?:cook|heat|melt|warm(?= (?:the|it|some|up|milk|water))|sprinkle|grate|simmer|put|place|make|use|toast|drain|season|separate|prepare)\b/i, ({ shaped }) => !shaped],
  ['mix', /\b(?:until (?:smooth|combined|it comes together|no dry|thick)|dry ingredients|wet ingredients|mixer|bowl)\b/i, ({ mixed }) => !mixed],
];
