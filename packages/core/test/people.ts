/** Random athletes, kits and workouts for generative tests, from a seed. Invented; the Lanterns' own. */
import { readAthlete, seededRandom, type Athlete } from '../src/index';

const kitLines = [
  'dumbbell 15 kg',
  'dumbbell 10 kg x 2',
  'dumbbell 17.5 kg x 2',
  'adjustable dumbbell 4-24 kg step 2 x 2',
  'barbell 20 kg, plates 2x15 2x10 2x5 2x2.5 kg',
  'kettlebell 12 kg',
  'kettlebell 16 kg',
  'kettlebell 24 kg',
  'pull-up bar',
  'rings',
  'rope',
  'box 40 cm',
  'box 50 cm',
  'backpack up to 18 kg',
  'rowing machine',
  'air bike',
  'run route 200 m, 400 m',
  'table 75 cm',
  'chair 45 cm x 2',
  'stairs 18 cm',
  'wall',
  'couch 42 cm',
  'sandbag 30 kg',
  'water can 10 l x 2',
  'band medium',
  'bench',
  'vest 9 kg',
];
const tags = ['running', 'jumping', 'overhead', 'kneeling', 'deep_knee', 'hanging', 'inverted', 'wrists', 'spinal_loading', 'high_impact'];
const moves = [
  'push-up',
  'pull-up',
  'strict pull-up',
  'toes-to-bar',
  'air squat',
  'burpee',
  'double-under',
  'box jump',
  'walking lunge',
  'sit-up',
  'ring dip',
  'jumping squat',
  'handstand push-up',
  'mountain climber',
  'lateral burpee',
  'v-up',
  'hollow rock',
];
const loaded = [
  'thruster @ 42.5/30 kg',
  'kettlebell swing @ 24/16 kg',
  'deadlift @ 100/70 kg',
  'power clean @ 60/42.5 kg',
  'db snatch @ 22.5/15 kg',
  'db push press @ 2x17.5/12.5 kg',
  'front squat @ 60/42.5 kg',
  'bent-over row @ 50/35 kg',
  'goblet squat @ 24/16 kg',
  'db floor press @ 2x22.5/15 kg',
];
const engines = ['400/300 m row', '200 m run', '12/9 cal row', '40 m shuttle run', '15/10 cal air bike', '15 m bear crawl'];

export function randomAthlete(seed: number): Athlete {
  const random = seededRandom(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const category = pick(['men', 'women']);
  return readAthlete(
    {
      name: `Keeper ${seed}`,
      category,
      level: pick(['new', 'newer', 'trained', 'trained', 'competitive']),
      body_mass: `${Math.round((category === 'men' ? 82 : 65) * (0.75 + random() * 0.5))} kg`,
      stature: `${Math.round((category === 'men' ? 179 : 167) * (0.94 + random() * 0.12))} cm`,
      born: 1960 + Math.floor(random() * 46),
      avoid: tags.filter(() => random() < 0.1),
      place: {
        name: 'hut',
        floor: `${(1.5 + random() * 5).toFixed(1)} x ${(1.2 + random() * 3).toFixed(1)} m`,
        ceiling: `${(2 + random() * 1.4).toFixed(2)} m`,
        noise: pick(['free', 'normal', 'quiet']),
        kit: kitLines.filter(() => random() < 0.3),
      },
    },
    '2026-11-25',
  ).athlete;
}

export function randomWorkout(seed: number): string {
  const random = seededRandom(seed * 7 + 3);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const counts = [5, 6, 8, 9, 10, 12, 15, 20];
  const line = (withCount = true): string => {
    const kind = random();
    if (kind < 0.4) return `${withCount ? `${pick(counts)} ` : ''}${pick(moves)}`;
    if (kind < 0.75) return `${withCount ? `${pick(counts)} ` : ''}${pick(loaded)}`;
    return withCount ? pick(engines) : `${pick(moves)}`;
  };
  const lines = (count: number, withCount = true, indent = ''): string => Array.from({ length: count }, () => indent + line(withCount)).join('\n');
  const shapes = [
    () => `AMRAP ${pick(['8:00', '12:00', '15:00', '20:00'])}\n${lines(2 + Math.floor(random() * 3))}`,
    () => `for time, cap 20:00\n${pick(['3', '4', '5'])} rounds\n${lines(2 + Math.floor(random() * 3), true, '  ')}`,
    () => `for time, cap 15:00\n${pick(['21-15-9', '24-18-12', '10-8-6-4-2', '30-20-10'])}\n${lines(2, false)}`,
    () => `EMOM 12:00\n1: ${line()}\n2: ${line()}\n3: ${line()}`,
    () => `3 sets, rest 1:00 between\n  2 rounds\n${lines(3, true, '    ')}\nscore: each set\nwindow: 3:00-5:00 per set`,
    () => `every 6:00 x 3, rest what is left\nwindow 1:\n${lines(2, true, '  ')}\nwindow 2:\n${lines(2, true, '  ')}\nwindow 3:\n${lines(2, true, '  ')}`,
    () => `30 s on / 15 s off x 9\nalternate\n${lines(3, false, '  ')}`,
    () => `every 2:30 x 5\n5 ${pick(['back squat', 'front squat', 'deadlift', 'strict press'])}, build`,
    () => `max load in 7:00\n1 ${pick(['clean', 'deadlift', 'front squat'])}`,
  ];
  return `# Lantern ${seed}\n${pick(shapes)()}\n`;
}

/** The formats that `randomWorkout` does not have: teams, buy-in and cash-out, growing ladders, sets with their own counts, complexes, percentages, work that interrupts. */
export function randomFormat(seed: number): string {
  const random = seededRandom(seed * 11 + 5);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const line = (): string =>
    random() < 0.2 ? pick(engines) : random() < 0.5 ? `${pick([6, 8, 10, 12, 15])} ${pick(moves)}` : `${pick([5, 8, 10, 12])} ${pick(loaded)}`;
  const lines = (count: number, indent = ''): string => Array.from({ length: count }, () => indent + line()).join('\n');
  const lift = (): string => pick(['back squat', 'front squat', 'deadlift', 'strict press', 'power clean', 'bench press']);
  const shapes = [
    () => `for time, cap 25:00\n${line()}\n${pick([3, 4])} rounds\n${lines(2, '  ')}\n${line()}`,
    () => `teams of 2, in turns\nAMRAP 14:00\n${lines(3)}`,
    () => `teams of 2, shared\nfor time, cap 20:00\n${lines(3)}`,
    () => `AMRAP 9:00\n2, +2 each round: ${pick(moves)}\n2, +2 each round: ${pick(loaded)}`,
    () => `death by, cap 12:00\n${pick(moves)}`,
    () => `every 2:30 x 5\n3 ${lift()} @ ${pick([70, 75, 80, 85])}%`,
    () => `strength\n${pick([4, 5])} sets, rest 2:00 between\n  5 ${lift()} @ ${pick([65, 75, 80])}%`,
    () => `every 2:00 x 6\n2 x (1 power clean + 1 front squat + 1 push press) @ 50/35 kg`,
    () => `${pick(['40 s', '30 s'])} on / 20 s off x 8\nalternate\n  ${pick(moves)}\n  ${pick(moves)}`,
    () => `for time, cap 20:00\n${pick([50, 60])} ${pick(moves)}\nevery 2:00: 5 ${pick(moves)}`,
    () => `every 4:00 x 4\n${lines(2)}\nmax ${pick(moves)}`,
    () => `5 on / 2 off x 3\n${lines(3)}`,
    () => `EMOM 16:00\n1: ${line()}\n2: ${line()}\n3: 40 s plank\n4: rest`,
    () => `for quality\n3 rounds\n${lines(3, '  ')}`,
    () => `A) strength\n4 sets, rest 2:00 between\n  6 ${lift()}\n\nB) for time, cap 12:00\n15-12-9\n  ${pick(moves)}\n  ${pick(loaded)}`,
  ];
  return `# Lantern format ${seed}\n${pick(shapes)()}\n`;
}
