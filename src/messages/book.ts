import type { Facing, Group, PostureRule } from '@/core/book/book-entry';

export const GROUP_NAME: Readonly<Record<Group, string>> = {
  chest: 'Chest',
  rows: 'Back, rows',
  pulldowns: 'Back, pulldowns and hinges',
  deltoids: 'Deltoids',
  biceps: 'Biceps',
  triceps: 'Triceps',
  legs: 'Legs',
  before: 'Before the work',
};

export interface BookText {
  readonly name: string;
  /** How it is set and braced, for the trainer. */
  readonly how: string;
  /** For the client, one breath. */
  readonly cue: string;
}

const t = (name: string, how: string, cue: string): BookText => ({ name, how, cue });

/** Names, how it is set, and a cue, by entry. */
export const BOOK_TEXT: Readonly<Record<string, BookText>> = {
  'cable-fly-high-to-low': t(
    'Cable fly, high to low',
    'Staggered, either foot ahead; settle cable, arm and the lower border of the chest in one line ' +
      'before the first rep.',
    'Sweep down towards your front pocket',
  ),
  'cable-fly-level': t(
    'Cable fly, level',
    'Staggered, chest high, blades down and back; the cable lies along the arm at the finish.',
    'Wrap your arms round a wide barrel',
  ),
  'cable-fly-low-to-high': t(
    'Cable fly, low to high',
    'Staggered; the hands rise towards the chin, the upper back brings them down again.',
    'Scoop up until your hands meet at your chin',
  ),
  'cable-fly-incline': t(
    'Cable fly on an incline bench',
    'Bench a slight incline midway between low pulleys; elbows bent in the stretch, nearly straight at the finish.',
    'Close the arc above your collarbone',
  ),
  'cable-fly-decline': t(
    'Cable fly on a decline bench',
    'Bench tipped head down between low pulleys; the hands end over the thighs.',
    'Bring your hands together over your belt',
  ),
  'dumbbell-fly-flat': t(
    'Dumbbell fly, flat',
    'Feet planted, blades flat on the bench; stop the stretch where the upper arms are level with the trunk.',
    'Open wide, shoulders stay on the bench',
  ),
  'dumbbell-fly-incline': t(
    'Dumbbell fly, slight incline',
    'Back one or two notches up; the hands rise straight above the upper chest.',
    'Lift as if closing a big book',
  ),
  'dumbbell-fly-block-declined': t(
    'Dumbbell fly, bench on a block',
    'A plate or block under the foot end; check that it cannot slip.',
    'Press your low ribs into the bench and open',
  ),
  'machine-fly': t(
    'Machine fly',
    'Handles level with the shoulders; start stop set so that they stay ahead of the chest.',
    'Turn your elbows in a touch and squeeze',
  ),
  'machine-press': t(
    'Machine press, sides on their own',
    'Handles level with the nipples and ahead of the chest; heels and hips driven back into the pad, no lockout.',
    'Push yourself back into the pad',
  ),
  'cable-squeeze-press': t(
    'Cable squeeze press',
    'Hands pressed together through the whole range, elbows rolled slightly in.',
    'Crush your palms together all the way out',
  ),
  'close-dumbbell-squeeze-press': t(
    'Close dumbbell squeeze press',
    'Dumbbells pressed against each other; bigger ones meet the chest sooner and shorten the range.',
    'Keep the bells glued to each other',
  ),
  'close-push-up': t(
    'Close push-up',
    'Hands under the shoulders, body in one line; raise the hands to make it easier.',
    'Elbows brush your sides on the way down',
  ),

  'dumbbell-row-one-arm': t(
    'One-arm dumbbell row',
    'One hand on the bench, both feet down; the forearm keeps pointing at the floor.',
    'Draw your elbow to your back pocket',
  ),
  'dumbbell-row-hinged': t(
    'Two-dumbbell hinged row',
    'Hinge by the knuckles over the kneecaps; the trunk stays where it is.',
    'Chest long, elbows slide back',
  ),
  'dumbbell-row-wide-elbow': t(
    'Wide-elbow dumbbell row',
    'Trunk near level, elbows straight out to the sides.',
    'Spread your elbows to the walls',
  ),
  'plank-row': t(
    'Plank row',
    'Feet a little apart, hips square to the floor; the dumbbell comes to the armpit.',
    'Hips stay level while you pull',
  ),
  'barbell-row-hinged': t(
    'Barbell hinged row',
    'To between navel and lower breastbone; knees soft.',
    'Pull the bar into your belly button',
  ),
  'barbell-row-dead-stop': t(
    'Dead-stop barbell row',
    'From the floor each rep; set it down, let the bar be still, pull again.',
    'Let it rest, then pull it fast',
  ),
  'landmine-row-two-hand': t(
    'Two-hand landmine row',
    'A rope or handle round the bar; pull to the chest.',
    'Fold your elbows down past your ribs',
  ),
  'landmine-row-alongside': t(
    'One-arm landmine row, alongside',
    'Standing beside the bar, forearm on the front thigh; a bench if the trunk turns.',
    'Take the bar end to your hip bone',
  ),
  'landmine-row-square': t(
    'One-arm landmine row, square to the bar',
    'Overhand on the thick end, elbow out; straps where the grip would end the set first.',
    'Lift your elbow high and wide',
  ),
  'barbell-row-one-arm': t(
    'One-arm barbell row',
    'Hold the middle of the bar, free hand on the bench; keep the bar level.',
    'Carry the bar back like a suitcase',
  ),
  'chest-supported-row': t(
    'Chest-supported row',
    'Breastbone on the pad, feet wide behind; nothing else can help.',
    'Breastbone heavy, squeeze between your blades',
  ),
  'strap-row': t(
    'Strap row',
    'Body in one line, leaning back; walk the feet in for more.',
    'Bring your chest to your hands',
  ),
  'cable-row-level-one-arm': t(
    'One-arm level cable row',
    'The tensioned line meets the body just below the chest; turn to underhand so that the elbow turns in.',
    'Screw your elbow in towards your side',
  ),
  'cable-row-level-wide-underhand': t(
    'Wide underhand level cable row',
    'Blades first, then the arms follow; the trunk does not rock.',
    'Sit tall, bar to your lower ribs',
  ),
  'rope-row-low-hinged': t(
    'Low rope row, hinged',
    'Hips far back, shins upright; wrists extended, hands flare apart at the finish.',
    'Pull the rope ends apart at your ribs',
  ),
  'rope-row-low-one-arm': t(
    'Low rope row, one arm',
    'Hips far back; free hand on the thigh.',
    'Reach long, then elbow past your ribs',
  ),
  'cable-row-high-one-arm': t(
    'High one-arm cable row',
    'Feet wide, working hip dropped back; the elbow aims at the hip with a little turn.',
    'From high out front down into your hip',
  ),

  'pulldown-overhand': t(
    'Bar pulldown, overhand',
    'Grip just past the bend, knees under the pad; to the top of the chest and no lower.',
    'Pull your elbows into your front pockets',
  ),
  'pulldown-wide-underhand': t(
    'Wide underhand pulldown',
    'Start wide, elbows driven down and in.',
    'Wedge your elbows into your sides',
  ),
  'pulldown-close-kneeling': t(
    'Close-grip pulldown, kneeling',
    'Under the top pulley, chest pushed up and forward rather than leaning back.',
    'Show your chest to the pulley',
  ),
  'pulldown-one-arm-underhand': t(
    'One-arm underhand pulldown',
    'A slight lean back and a small bend to the working side at the finish; a handle that turns.',
    'Close the gap between elbow and hip',
  ),
  'pulldown-side-lying': t(
    'Side-lying stretch pulldown',
    'Bench about 45 degrees, head towards the column, legs turned to that side.',
    'Let your side grow long, then pull to the hip',
  ),
  'straight-arm-pushdown-one-arm': t(
    'One-arm straight-arm pushdown',
    'Squared up; the arm travels past the thigh and slightly behind.',
    'Stroke the handle down past your leg',
  ),
  'straight-arm-pushdown-bar': t(
    'Straight-arm pushdown with a bar',
    'Arms nearly straight; the thighs stop the bar.',
    'Press the bar to your thighs with long arms',
  ),
  'rope-lat-opener': t(
    'One-arm rope lat opener',
    'Rope pulled through to its one-sided length; the first exercise, light.',
    'Feel your armpit squeeze as you sweep down',
  ),
  'pull-up-band-assisted': t(
    'Band-assisted pull-up',
    'A band with which 10 to 12 strict reps are the limit.',
    'Drive your elbows down to your ribs',
  ),
  'dumbbell-pullover': t(
    'Dumbbell pullover along the bench',
    'Whole back on the bench, ribs down; stop where the ribs would lift.',
    'Reach back over your head, ribs heavy',
  ),
  'rack-pull': t(
    'Rack pull from mid shin',
    'Lats tight before the bar leaves the pins; set it down each rep, never drop it.',
    'Lock the bar to your legs and stand tall',
  ),
  'loaded-back-extension': t(
    'Loaded back extension',
    'Hips on the pad’s edge, plate on the chest; rise to a straight line and no further.',
    'Unroll into one long line',
  ),

  'rear-delt-cable-row': t(
    'Rear-deltoid cable row',
    'On the client’s own arm path, elbow and palm turned out.',
    'Elbow wide, knuckles to the wall behind',
  ),
  'rear-delt-cable-fly-one-arm': t(
    'One-arm rear-deltoid cable fly',
    'The line runs through the upper arm along the client’s path; step in for the next reps.',
    'Throw your hand out to the far wall',
  ),
  'rear-delt-pull-around': t(
    'Rear-deltoid pull-around',
    'Bench upright, turned about 45 degrees off the column; the free elbow presses the bench.',
    'Draw a half circle round your chest',
  ),
  'crossed-reverse-fly': t(
    'Crossed reverse cable fly',
    'Hands reach past each other at the start; swap the upper one every other set.',
    'Uncross and open like a curtain',
  ),
  'reverse-machine-fly': t(
    'Reverse machine fly',
    'Begin with a long reach and keep the arc wide; the elbows never bend in.',
    'Stretch the arc as wide as it goes',
  ),
  'dumbbell-side-raise': t(
    'Dumbbell side raise',
    'From about 30 degrees off hanging, hand level; a slight line ahead of the body.',
    'Pour the weight out to the sides',
  ),
  'dumbbell-side-raise-overhead': t(
    'Full-range side raise',
    'Past level to overhead, palms turning up on the way.',
    'Float your hands up in one big arch',
  ),
  'cross-body-cable-raise': t(
    'Cross-body cable raise',
    'Starts across the body with the trunk turned until the stretch is felt; sweeps outward and slightly behind.',
    'Pull a sword out of your far pocket',
  ),
  'machine-shoulder-press': t(
    'Machine shoulder press',
    'Feet planted, ribs down; a notch back for a stiff shoulder.',
    'Punch the ceiling, ribs stay down',
  ),
  'seated-dumbbell-press': t(
    'Seated dumbbell press',
    'Heads tipped slightly in, no clash at the top; stop before the shoulders in the bottom.',
    'Press up and let the bells lean in',
  ),
  'front-raise-cambered-bar': t(
    'Front raise with a cambered bar',
    'Chest up; lowering takes 4 to 5 seconds. Most useful from 45 to 135 degrees.',
    'Lift the bar to your eyes and let it sink',
  ),

  'preacher-curl-one-arm': t(
    'Preacher curl, one arm standing',
    'Back of the upper arm flat on the pad up to the armpit, free hand braces; stop short of straight.',
    'Armpit on the edge, curl to your shoulder',
  ),
  'preacher-curl-neutral': t(
    'Preacher curl, neutral',
    'Thumb up; the seat high enough for the armpit to meet the pad.',
    'Hammer up without lifting your elbow',
  ),
  'preacher-curl-pressed-together': t(
    'Preacher curl, dumbbells together',
    'Two dumbbells pressed together; chest into the pad.',
    'Press the bells together as they rise',
  ),
  'preacher-curl-cambered-bar': t(
    'Preacher curl, cambered bar',
    'Wider grip suits many better; follow the client’s elbows.',
    'Both elbows sink into the pad',
  ),
  'incline-bench-cable-curl': t(
    'Incline bench curl with a low cable',
    'In place of a preacher: back of the arm on the bench, cable at its lowest, running straight ' +
      'into the upper arm’s line.',
    'Elbow rests, hand draws to your shoulder',
  ),
  'incline-dumbbell-curl': t(
    'Incline dumbbell curl',
    'Back at about 60 degrees, upper arms hanging behind the trunk.',
    'Arms hang behind you, only forearms move',
  ),
  'prone-incline-curl': t(
    'One-arm prone-incline curl',
    'Chest on the bench, free hand counterweighted.',
    'Hang straight down and curl to your nose',
  ),
  'curl-up-supinated-down-pronated': t(
    'Curl, up palm up, down palm down',
    'Turn at the top; the way down belongs to the forearm’s own flexors.',
    'Turn your palm over and lower slowly',
  ),
  'mid-range-slow-curl': t(
    'Mid-range slow curl',
    'Two slow seconds through the middle third.',
    'Crawl through the middle',
  ),
  'half-kneeling-neutral-curl': t(
    'Half-kneeling neutral curl',
    'Kneeling takes the swing out of the hips.',
    'Thumb leads, elbow under your shoulder',
  ),
  'barbell-curl': t(
    'Barbell curl',
    'Wide grip for the short head, narrow for the long; stop at about 90 % of the way up.',
    'Upper arms hang like plumb lines',
  ),
  'straight-bar-cable-curl': t(
    'Straight-bar cable curl',
    'A small lean keeps tension at both ends; chin in, blades set.',
    'Keep the cable tight from bottom to top',
  ),
  'seated-curl-from-behind': t(
    'Seated curl from slightly behind',
    'Begin slightly behind, or push the hand out a little.',
    'Start behind your hip and keep the elbow there',
  ),
  'side-turned-curl': t(
    'Side-turned curl',
    'Forearms turned out, little finger higher than the thumb.',
    'Tip your little finger up as you curl',
  ),
  'plate-curl': t(
    'Plate squeeze raise',
    'Plate upright between the palms, from chest height to straight arms. Never over the face.',
    'Squash the plate and slide it out',
  ),
  'two-hand-single-dumbbell-curl': t(
    'Two-hand single-dumbbell curl',
    'One dumbbell in both hands; 1 second pause and squeeze at the top.',
    'Cup the bell and squeeze it at the top',
  ),
  'turning-cable-curl': t(
    'Turning cable curl',
    'Arm behind, facing away; the body turns through the rep until it faces the column.',
    'Turn with the cable as you curl',
  ),

  'rope-pushdown': t(
    'Rope pushdown',
    'One small step back, elbows slightly ahead and fixed; hands part at the bottom.',
    'Split the rope at your thighs',
  ),
  'v-bar-pushdown': t(
    'V-bar pushdown',
    'Shoulders back, ribs down, no leaning over.',
    'Pin your elbows and push the floor away',
  ),
  'palm-up-pushdown': t(
    'Palm-up pushdown',
    'Palm up, wrist slightly bent at the squeeze.',
    'Drag the handle down with your knuckles',
  ),
  'overhead-rope-extension': t(
    'Overhead rope extension',
    'Facing away, elbows away from the sides.',
    'Throw the rope ends forward and up',
  ),
  'seated-overhead-dumbbell-extension': t(
    'Seated overhead dumbbell extension',
    'Back supported, both hands under one head of the dumbbell.',
    'Dip it behind your neck, then reach up',
  ),
  'lying-extension': t(
    'Lying extension',
    'Upper arms tipped slightly towards the head; lower beside the head, not over the face.',
    'Lower beside your ears, elbows point up',
  ),
  kickback: t(
    'Kickback',
    'Stand a little taller and squeeze back; nothing until the forearm passes upright.',
    'Straighten all the way and hold it there',
  ),

  'leg-extension': t(
    'Leg extension',
    'Back of the knee at the pad’s edge, knee on the axis; hands pull on the handles, the stack never touches.',
    'Pull yourself down and straighten your shins',
  ),
  'seated-leg-curl': t(
    'Seated leg curl',
    'Seat rather too far back than too far forward; hips held, knees heavy.',
    'Knees heavy, toes up, heels under you',
  ),
  'leg-press': t(
    'Leg press',
    'Depth by active range with the pelvis still; pulled down actively, no lockout.',
    'Pull the sled down, then push it away',
  ),

  'door-frame-chest-stretch': t(
    'Door-frame chest stretch',
    '10 second holds, 3 to 4 a side, before heavy rowing.',
    'Step through and breathe into your chest',
  ),
  'prone-y-raise': t(
    'Prone Y raise',
    'On the incline, thumbs up, arms in a wide Y.',
    'Lift your thumbs to the ceiling',
  ),
  'prone-t-raise': t(
    'Prone T and back-extension raise',
    'Arms out to the sides, breastbone lifts a little.',
    'Spread your collarbones off the pad',
  ),
  'lat-wake-up-drill': t(
    'Lat wake-up drill',
    'Shoulder girdle drawn down first, then the elbow brought round behind the ribs.',
    'Shoulder down, then wrap your elbow behind you',
  ),
};

/** A movement's plain name. */
export const movementName = (id: string): string => BOOK_TEXT[id]?.name ?? id;

const FACING_TEXT: Readonly<Record<Facing, string>> = {
  away: 'facing away from the column',
  towards: 'facing the column',
  'working-side': 'working side to the column',
  'free-side': 'free side to the column',
};
export const facingText = (f: Facing): string => FACING_TEXT[f];

/** A posture in a few words. */
export function postureText(p: PostureRule): string {
  switch (p.kind) {
    case 'standing':
      return 'standing';
    case 'staggered':
      return 'staggered stance';
    case 'wide':
      return 'wide stance';
    case 'hinged':
      return p.trunkDeg > 0 ? `hinged, trunk ${p.trunkDeg}° above level` : 'hinged over the pad';
    case 'half-kneeling':
      return `half-kneeling on the ${p.down === 'working' ? 'working' : 'other'} side’s knee`;
    case 'tall-kneeling':
      return 'kneeling on both knees';
    case 'seated':
      return p.on === 'bench' ? `seated, back ${p.backDeg}°` : p.on === 'low' ? 'seated low' : 'seated on the floor';
    case 'lying':
      return p.on === 'free-side'
        ? `lying on the free side, bench ${p.backDeg}°`
        : `lying on the ${p.on}, bench ${p.backDeg}°`;
    case 'hand-and-knee':
      return 'hand and knee on a bench';
    case 'hand-on-bench':
      return 'one hand on a bench, both feet down';
    case 'forearm-on-thigh':
      return 'split stance, forearm on the thigh';
    case 'plank':
      return 'plank';
    case 'hanging':
      return 'hanging';
    case 'leg-machine':
      return 'seated in the machine';
  }
}
