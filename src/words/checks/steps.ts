import { RUN_KIND_NAMES } from '../learn/runKinds';
import { inSentence, withoutStop } from '@/core/base/units/words';
import { counted, listed, partsListed } from '../lists';
import { heldWords, wearWords } from '../learn/life';
import { needName } from '../needs';
import type { Sentences } from '../write';
import { WISH_NAMES } from './field';
import { checkTitle } from './names';
import { owedWords } from './parts';
import { failedHow } from '../learn/failureModes';

/** Sentences about what to do next. */
export const STEP_SENTENCES: Sentences<'step'> = {
  'step.brokeBefore': ({ parts }) => `It broke there before: ${partsListed(parts)}.`,
  'step.drowns': ({ runs }) =>
    `So small a difference drowns in the spread: ${runs} runs on each side. Bring the spread down first, or leave it.`,
  'step.findWhy': ({ part, mode, modeWords }) =>
    `Find out why: ${inSentence(part)}, ${inSentence(failedHow({ mode, ...(modeWords ? { ledger: { modeWords } } : {}) }))}`,
  'step.notExplained': ({ cost }) =>
    `It is not explained, so what is changed now is a guess${cost ? `; it cost ${cost}` : ''}.`,
  'step.suspect': ({ means }) => `First suspect: ${means}.`,
  'step.lookFirst': ({ ask }) => `Look first: ${ask}`,
  'step.openAgain': ({ part }) => `Open it again: the fix of ${inSentence(part)} did not hold`,
  'step.takeFixOver': ({ part }) => `Take the fix of ${inSentence(part)} over`,
  'step.fixHeld': ({ fix, held }, reader) => `${withoutStop(fix)}: ${heldWords(held, reader)}.`,
  'step.hiddenFault': () =>
    'One fault can hide another: look at the suspects again with what has changed since.',
  'step.predictionOff': () => 'Find out why the prediction does not hold',
  'step.leansOnIt': () => 'Every figure below leans on that prediction.',
  'step.calibrateThenGear': () => 'Take what the runs say into the figures, then gear for the wish',
  'step.tooHopeful': () =>
    'The prediction holds within its band, and the wish lies just outside what was driven: the figures are a little too hopeful.',
  'step.moreRuns': () => 'Drive more timed passages before changing anything for speed',
  'step.driveOwed': ({ kind }) => `Drive the ${RUN_KIND_NAMES[kind].toLowerCase()} that is owed`,
  'step.notAnswered': ({ wish }) => `Nothing measured answers ${WISH_NAMES[wish]} in this revision.`,
  'step.fillIn': ({ need }) => `Fill in ${needName(need)}`,
  'step.checksWait': ({ checks }) =>
    `${checks.length === 1 ? 'One check waits' : `${checks.length} checks wait`} for it: ${listed(checks.map((check) => inSentence(checkTitle(check))))}.`,
  'step.printAnother': ({ part }) => `Print another ${inSentence(part)}`,
  'step.worn': ({ of, wear }, reader) => `Its ${of}: ${wearWords(wear, reader)}.`,
  'step.printOwed': ({ owed }) => `Print what is owed: ${owedWords(owed)}`,
  'step.spareReady': () => 'A part that breaks should be back on the car the same day.',
  'step.driveOn': ({ more }) => `Drive ${more} more on the fixes`,
  'step.fixesYoung': ({ parts }) =>
    `${counted(parts.length, 'fix is', 'fixes are')} not proven yet: ${partsListed(parts)}.`,
};

/** How many runs it takes, and why. */
export const TRIAL_SENTENCES: Sentences<'trial'> = {
  'trial.oneLook': () => 'One look tells it.',
  'trial.once': () => 'Once, for half a minute: it shows or it does not.',
  'trial.three': () => 'Three on each side, to see how much they spread.',
  'trial.threeSpread': () => 'Three show a spread.',
  'trial.onePack': () => 'One pack.',
  'trial.runs': ({ runs, own }) =>
    `${counted(runs, 'run')} on each side, by ${own ? 'the spread of your own runs' : 'a usual spread'}.`,
  'trial.attempts': ({ attempts }) =>
    `${attempts} attempts in all tell the mean from the wish, two standard errors apart.`,
  'trial.blows': ({ blows }) =>
    `${blows} without damage show, at 90 %, that fewer than one in five breaks it.`,
  'trial.insideBand': () => 'Enough when the next run lies inside its band.',
  'trial.life': ({ lived, needed }) =>
    `It lasted ${lived}; ${needed} without it show, at 90 %, that it lasts longer now.`,
};

/** How a change is proven, by the code of its proof. */
export const PROOF_WORDS: Readonly<Record<string, string>> = {
  standingStart: 'time a standing start before and after',
  sameDistance: 'time the same distance before and after, the pack equally full',
  sameDistanceAgain: 'time the same distance again, the pack equally full',
  standingStartOverDistance: 'time a standing start over the wished distance before and after',
  wholePackCase: 'drive a whole pack before and after, and read the motor’s case every five minutes',
  wholePackController: 'drive a whole pack and read the controller’s case at once when it stops',
  wholePackThenCase: 'drive a whole pack and read the motor’s case at once when it stops',
  wholePack: 'drive a whole pack before and after',
  wholePackNoted: 'drive a whole pack and note when it is empty and how hot things got',
  threeAttempts: 'three attempts, the pack equally full',
  wheelsInTheAir: 'wheels off the ground, a little throttle: look which way each wheel turns',
  landThenTeeth: 'land it from the height of the brief with the throttle on, then look at every tooth',
  landThenRollShaft: 'land it with the throttle on and roll the shaft on a flat plate afterwards',
  lineOverHub: 'draw a line over hub and shaft, drive a pack, and look whether it still meets',
  listenAtSpeed: 'wheels off the ground behind a shield: bring it up slowly and listen for the whip',
  spinBehindShield: 'spin it up behind a shield, from a distance, and measure its growth',
  steerHardOnBench:
    'wheels off the ground: steer hard against the stop with the throttle on, and watch the receiver’s volts',
  steerOnGround: 'steer to both stops with the wheels on the ground',
  letGoWhenHeld: 'throttle off at once when the wheels are held; feel the motor after a hard start',
  paceOutAndStop: 'pace the place out, pass at half the speed, and look where it stands',
  brakeOnOpenGround: 'brake from half the speed on open ground and look whether the rear swings out',
  rangeWalk: 'wheels off the ground: walk away as far as you drive, and steer',
  failsafeList: 'go through the fail-safe list, wheels off the ground',
  feelWires: 'drive a pack and feel plugs and wires at once',
  sameBend: 'drive the same bend and the same slope before and after',
  fasterAndFaster:
    'pass the same open straight faster each time, and note from which speed it wanders; leave room to every side',
  rollOut: 'let it roll out from speed both ways, and read its speed all the while',
  pullOnScale: 'hold all wheels and pull the car over the ground on a scale, five times',
  throughTravel: 'move each wheel through its travel by hand, then drive the same rough stretch',
  dropForMarks: 'drop it from the height of the brief and look for marks where the chassis would touch',
  turnGyroByHand:
    'wheels off the ground: turn the car to the left by hand and look that the wheels steer right',
  aidInTurns: 'drive the same bend with the aid off and on, in turns',
  turnByHand:
    'turn the wheels by hand, wheels off the ground and the pack out, and feel for a tight spot or a rattle',
  pushThroughTravel: 'springs off: push each wheel from full droop to full bump, from lock to lock, and look',
  clampAndHit: 'clamp the part, hit it light and hard, and count until it fails',
  layOnBed: 'lay it on the bed',
  onTheScale: 'put it on the scale, ready to run',
  readList: 'read the make-or-buy list again',
  onTheCar: 'look at it on the car',
  calibrateAndWeigh: 'work the runs back to the figures of the model, and weigh the car as it was driven',
  calibrateAndGear:
    'work the runs back to the figures of the model, choose the gear anew, and time the same distance',
  driveAsMeant: 'drive it as it is meant to be driven, and say in each run how long',
};
