import { loafSheet } from '../batch/testBatch';
import { libraryBook } from '../ingredients';
import { bakeState, decide, emptyOutcome, type BakeAction } from '.';

const sheet = loafSheet();
const weighed: BakeAction = { type: 'weighed', lineId: 'salt', massG: 10 };
const done: BakeAction = { type: 'stepDone', stepId: 'mix' };
const started: BakeAction = { type: 'timerStarted', stepId: 'proof', durationS: 3600 };
const stopped: BakeAction = { type: 'timerStopped', stepId: 'proof' };
const rise: BakeAction = { type: 'rise', stepId: 'proof', of: 'jar', grownPercent: 40 };
const felt: BakeAction = { type: 'felt', stepId: 'mix', band: 'soft' };
const closed: BakeAction = { type: 'closed', outcome: emptyOutcome };
const abandoned: BakeAction = { type: 'abandoned', reason: 'The power went' };
const corrected: BakeAction = { type: 'outcomeCorrected', outcome: emptyOutcome };
const reopened: BakeAction = { type: 'reopened' };
const changed = (deltaS: number): BakeAction => ({ type: 'timerChanged', stepId: 'proof', deltaS });
/** The same of a step or line there is not. */
const nowhere = (action: BakeAction): BakeAction => ({
  ...action,
  ...('stepId' in action ? { stepId: 'none' } : { lineId: 'none' }),
});

const say = (code: string, path = '', params?: object) => ({ code, path, ...(params && { params }) });

test.each<[string, BakeAction[], BakeAction, object | null]>([
  ['a line is weighed', [], weighed, null],
  ['with another weight it is a correction', [weighed], { ...weighed, massG: 9 }, null],
  ['the same weight twice', [weighed], weighed, say('alreadyDone', 'lineId')],
  ['a line that is not on the sheet', [], nowhere(weighed), say('unknownLine', 'lineId')],
  ['unweighed what was weighed', [weighed], { type: 'unweighed', lineId: 'salt' }, null],
  ['unweighed what was not', [weighed], { type: 'unweighed', lineId: 'water' }, say('notDoneYet', 'lineId')],
  ['an extra', [], { type: 'added', ingredientId: 'water', massG: 20, note: '' }, null],
  [
    'an extra nobody knows',
    [],
    { type: 'added', ingredientId: 'sand', massG: 20, note: '' },
    say('unknownIngredient', 'ingredientId'),
  ],
  ['a step done', [], done, null],
  ['a step done twice', [done], done, say('alreadyDone', 'stepId')],
  ['a step that is not there', [], nowhere(done), say('unknownStep', 'stepId')],
  ['a step reopened', [done], { type: 'stepReopened', stepId: 'mix' }, null],
  ['another step reopened', [done], { type: 'stepReopened', stepId: 'proof' }, say('notDoneYet', 'stepId')],
  ['no step reopened', [], { type: 'stepReopened', stepId: 'none' }, say('unknownStep', 'stepId')],
  ['a timer', [], started, null],
  ['a timer beside itself', [started], started, say('timerRunning', 'stepId')],
  ['a timer once more', [started, stopped], started, null],
  ['a timer of no step', [], nowhere(started), say('unknownStep', 'stepId')],
  ['a timer changed', [started], changed(300), null],
  ['a timer changed that never ran', [], changed(300), say('noTimer', 'stepId')],
  ['a timer changed that stopped', [started, stopped], changed(300), say('noTimer', 'stepId')],
  ['down to its last second', [started], changed(-3599), null],
  ['below that', [started], changed(-3600), say('tooSmall', 'deltaS', { min: 1 })],
  ['up to a week', [started], changed(604_800 - 3600), null],
  ['beyond it', [started], changed(604_800 - 3599), say('tooLarge', 'deltaS', { max: 604_800 })],
  ['a timer stopped', [started], stopped, null],
  ['a timer stopped twice', [started, stopped], stopped, say('noTimer', 'stepId')],
  ['a rise', [], rise, null],
  ['a rise of no step', [], nowhere(rise), say('unknownStep', 'stepId')],
  ['a rise taken back', [rise], { type: 'riseTakenBack', stepId: 'proof' }, null],
  [
    'a rise of another step taken back',
    [rise],
    { type: 'riseTakenBack', stepId: 'mix' },
    say('notDoneYet', 'stepId'),
  ],
  ['a feel', [], felt, null],
  ['the same feel twice', [felt], felt, say('alreadyDone', 'stepId')],
  ['the same feel in another step', [felt], { ...felt, stepId: 'proof' }, null],
  ['another feel in the same step', [felt], { ...felt, band: 'stiff' }, null],
  ['a feel of no step', [], nowhere(felt), say('unknownStep', 'stepId')],
  ['a note', [], { type: 'noted', text: 'cold' }, null],
  ['a note after the end', [closed], { type: 'noted', text: 'cold' }, null],
  ['closed', [], closed, null],
  ['closed twice', [closed], closed, say('alreadyClosed')],
  ['given up', [], abandoned, null],
  ['anything after it was given up', [abandoned], weighed, say('alreadyClosed')],
  ['corrected before it was closed', [], corrected, say('notDoneYet')],
  ['corrected after', [closed], corrected, null],
  ['opened again', [closed], reopened, null],
  ['opened again while it is open', [], reopened, say('notDoneYet')],
])('%s', (_, before, action, problem) => {
  const events = before.map((each, index) => ({ seq: index + 1, atMs: 1000 * (index + 1), action: each }));
  const answer = decide(sheet, bakeState(0, events), action, libraryBook);
  expect(answer.ok ? null : answer.problem).toEqual(problem);
  if (answer.ok) expect(answer.value).toBe(action);
});
