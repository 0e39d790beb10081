/** One action of a sentence, in its own words. */
export interface Clause {
  readonly text: string;
  /** Under the verb of the clause before: "… and 25 minutes uncovered". */
  readonly goesOn: boolean;
}

/** What may stand before an imperative without changing what it says. */
const LEAD =
  /^(?:(?:and|then|now|next(?! (?:day|morning))|finally|lastly|first|gently|carefully|quickly|immediately|lightly|loosely|generously|slowly|briefly|thoroughly|evenly|firmly|straight away|at once|again|also|just|simply|you can|you just|I(?= (?:take|put|leave|bake|let|mix|add|give|shape))|please|either|once more|so|here|step \d+[:.)]?|to finish|in the meantime|meanwhile|with wet hands|with floured hands|with oiled hands|using wet hands),?\s+)+/i;
export const withoutLead = (text: string): string => text.trim().replace(LEAD, '');

/** Words an action begins with. A noun of the craft may stand for its verb: "Final proof 50 min". */
const VERBS =
  "activate|add|allow|ladle|(?:it|they) bakes?|bakes|blitz|grind|load|par-?bake|mill|arrange|bake|ball up|beat|blend|bloom|boil|braid|bring|brush|bulk|butter|chill|coat|coil|combine|cook|cool|cover|cream|crimp|cut|deep-?fry|deflate|dimple|dissolve|divide|dock|do not|don['’]t|double|drain|drizzle|drop|dust|feed|ferment|fill|finish|flatten|flip|flour|flute|fold|form|freeze|fry|get|give|glaze|grate|grease|griddle|hang|heat|hold|hydrate|incorporate|invert|join|keep|knead|knock|leave|let|lift|line|lower|make|mash|measure|melt|mist|mix|move|never|oil|pack|pat|pinch|pipe|place|plait|poach|poke|portion|pour|pre-?heat|prepare|press|prick|proof|prove|pull|pulse|punch|put|raise|reduce|refresh|refrigerate|release|reheat|remove|repeat|rest|retard|rise|return|roll|rotate|round|rub|scald|scale|scatter|scoop|score|scrape|seal|season|separate|serve|set|shape|sift|simmer|sits?(?= (?:there|in|under|for|on)\\b)|slash|slice|slide|slip|smooth|soak|spoon|spray|spread|sprinkle|squeeze|stack|stamp|start|stir|store|stretch|strew|stuff|swirl|switch|take|tent|thaw|tip|toast|top|toss|transfer|trim|tuck|turn|twist|unmold|unmould|use|wait|wash|weigh|whisk|whip|whizz?|work|wrap|stretch-and-fold|steam(?= (?:the|it|them|for))|(?:warm|light|dry|open)(?= (?:the|it|them|a|some|your|milk|water|through|up|at|in)\\b)";
const NOUNS =
  '(?:dough|piece) (?:rest|proof)|into (?:a |the |its )?(?:tin|pan|basket|banneton)|bulk (?:rise|ferment(?:ation)?|proof)|(?:first|second|final|last) (?:rise|proof|prove|fermentation)|bench rest|autolyse|warm proof|cold (?:proof|retard|ferment)|oven(?= (?:to|at|on|off)|:)|cooling|shaping|mixing|proofing|proving|baking|boiling|frying|kneading|panning|pre-?shape';
const ACTION = new RegExp(String.raw`^(?:${VERBS}|${NOUNS})\b`, 'i');
export const startsAction = (text: string): boolean => ACTION.test(withoutLead(text));

/** Words that go before an action without being one: "in a second bowl", "the next morning,", "when it has doubled,". */
const WITH_COMMA =
  /^(?:when|once|after|if|as soon as|while|with|on an?|on the|using|for the|to \w+|by hand|halfway|half way|day \w+|before|about|working|at (?:this|that) point|starting|from|in)\b[^,:]*[,:]\s*/i;
const WITHOUT_COMMA =
  /^(?:the (?:evening|night|day|morning) before|in (?:an?|another|the|your)(?: [\w-]+){0,3} (?:bowl|pan|jug|mixer|saucepan|pot|cup|processor)|(?:the )?next (?:day|morning)|in the (?:morning|evening)|in the meantime|after (?:another |the first |about )?\d+(?:\s?[-–]\s?\d+)?\s?(?:minutes?|mins?|hours?|h)|\d+\s?(?:min|minutes|hours?) before \w+)\b[,:]?\s*/i;
/** "Begin by stirring …": stir. */
const BEGIN_BY = /^(?:begin|start)(?: off)? (?:by|with) (\w+?)(?:([bdgmnprt])\2)?ing\b/i;

/** A clause from its action on. */
export function headOf(text: string): string {
  let head = withoutLead(text).replace(BEGIN_BY, (_, stem: string, twice = '') => `${stem}${String(twice)}`);
  for (let rounds = 0; rounds < 4; rounds += 1) {
    const shorter = withoutLead(head.replace(WITHOUT_COMMA, '').replace(WITH_COMMA, ''));
    if (shorter === head || shorter === '') break;
    head = shorter;
  }
  return head;
}

/** Before these a clause may end. What stands between is given back, so that no word is lost. */
const CONNECTOR =
  /(;\s+|,\s+(?:and |but |or )?(?:then |now )?|\s+and\s+(?:then\s+)?|\s+then\s+|\s+[–—]\s+|:\s+|\s+while\s+|\s+but\s+)/i;
/** A time that says when or how often something happens meanwhile, or how long it takes otherwise; not how long more. */
const MEANWHILE =
  /\b(?:if|or(?! until)|when|unless|bigger|larger|smaller|longer|every|each|per|apart|before|after|within|later|last|first|half ?way|old|up to|at most|at least|no more than|side|sides|whichever|depending)\b/i;
const TIMED =
  /\d+(?:\.\d+)?(?:\s*(?:[-–]|to)\s*\d+(?:\.\d+)?)?\s?(?:hours?|hrs?|h|minutes?|mins?|min|seconds?|secs?|days?)\b/i;
/** A clause that only says when, where or with what the next one is done. */
const LEADS_IN =
  /^(?:when|once|after|if|as soon as|while|meanwhile|in (?:a|an|the|another|your)|with|on (?:a|the)|using|for the|to (?:shape|finish|serve|make|bake)|at (?:this|that) point|by (?:hand|now)|about|to \w+|\d+\s?(?:min|minutes|hours?) (?:before|later)|before|halfway|half way|the (?:evening|night|day|morning) before|next day|the next (?:day|morning)|next morning|in the morning|day \w+|working|starting|from)\b/i;

/** A full stop behind one of these ends no sentence. */
const SHORT = 'approx|ca|tsp|tbsp|e\\.g|i\\.e|no';
/** Behind one of these one may begin. */
const SHORT_UNIT = 'min|mins|hr|hrs|temp';
/** Who writes all in small letters ends sentences all the same: before what is done. */
const SMALL_START = new RegExp(String.raw`(?<=[\w)])(?<!\b(?:${SHORT}))\.\s+(?=(\p{Ll}+))`, 'gu');
const CAPITAL_START = new RegExp(
  String.raw`(?<=(?<!\b(?:${SHORT}|deg|${SHORT_UNIT}))[.!?])\s+(?=[\p{Lu}\d"“(])|(?<=\b(?:${SHORT_UNIT})\.)\s+(?=\p{Lu})`,
  'u',
);

/** Sentences of a paragraph. */
export const sentencesOf = (paragraph: string): string[] =>
  paragraph
    .replace(SMALL_START, (whole, word: string) => (ACTION.test(word) ? '.\n' : whole))
    .split('\n')
    .flatMap((part) => part.split(CAPITAL_START))
    .map((sentence) => sentence.trim())
    .filter(Boolean);

/** A sentence as its actions, in order: every word is in one of them. */
export function clausesOf(sentence: string): Clause[] {
  const pieces = sentence.replace(/\bstretch(?:es)? and folds?\b/gi, 'stretch-and-fold').split(CONNECTOR);
  const clauses: { text: string; goesOn: boolean }[] = [];
  let depth = 0;
  pieces.forEach((piece, index) => {
    if (index % 2 === 1) return;
    const link = index === 0 ? '' : (pieces[index - 1] ?? '');
    const last = clauses.at(-1);
    if (!last) {
      clauses.push({ text: piece, goesOn: false });
    } else if (depth === 0 && startsAction(piece)) {
      // "when it has doubled, knock it back": one clause, once
      if (!ACTION.test(headOf(`${last.text},`)) && LEADS_IN.test(withoutLead(last.text)) && !/;\s*$/.test(link)) last.text += link + piece;
      else clauses.push({ text: piece, goesOn: false });
    } else if (depth === 0 && (/;/.test(link) || /\b(?:per|a|each|both) sides?\b/i.test(piece)) && TIMED.test(piece) && !TIMED.test(last.text) && /^(?:kettle|heat|bring|pre-?heat)\b/i.test(withoutLead(last.text))) {
      // "kettle at a simmer; 45 seconds per side"
      clauses.push({ text: piece, goesOn: false });
    } else if (depth === 0 && /while/i.test(link) && TIMED.test(piece)) {
      clauses.push({ text: piece, goesOn: false });
    } else if (depth === 0 && !/\bor\b/i.test(link) && TIMED.test(piece) && TIMED.test(last.text) && goesOn(piece) && !isMinutesOfHour(last.text, piece)) {
      clauses.push({ text: piece, goesOn: true });
    } else last.text += link + piece;
    depth += (piece.match(/\(/g) ?? []).length - (piece.match(/\)/g) ?? []).length;
  });
  return clauses.map((clause) => ({ ...clause, text: clause.text.trim() })).filter(({ text }) => text !== '');
} // prettier-ignore

const goesOn = (piece: string): boolean =>
  !MEANWHILE.test(piece) ||
  /^(?:then |and )?(?:for )?(?:another|a further|\d+ more|the (?:last|final|remaining|rest))/i.test(
    piece.trim(),
  );
/** "1 hour and 10 minutes": the same time. */
const isMinutesOfHour = (before: string, piece: string): boolean =>
  /\d\s?(?:hours?|hrs?|h)\s*$/i.test(before) && /^\d+\s?(?:minutes?|mins?)\b/i.test(piece.trim()); // prettier-ignore
