/** A part of every kind, to begin with: the cheat sheet beside an empty page. All of them are read without a remark. */
export interface Template {
  readonly name: string;
  readonly kind: string;
  readonly text: string;
}
export const templates: readonly Template[] = [
  {
    name: 'As many rounds as possible',
    kind: 'amrap',
    text: 'AMRAP 12:00\n6 power clean @ 50/35 kg\n9 burpee\n12 walking lunge\nintent: 6-8 rounds, moderate',
  },
  { name: 'Rounds for time', kind: 'forTime', text: 'for time, cap 14:00\n4 rounds\n  200 m run\n  12 kettlebell swing @ 24/16 kg\n  10 push-up' },
  { name: 'A ladder for time', kind: 'forTime', text: 'for time, cap 14:00\n24-18-12-6\ndb thruster @ 2x15/10 kg\nring row' },
  {
    name: 'One after the other',
    kind: 'forTime',
    text: 'for time, cap 20:00\n800 m run\n40 step-up @ 50 cm\n30 sit-up\n20 alternating db snatch @ 20/12.5 kg',
  },
  { name: 'Growing each round', kind: 'amrap', text: 'AMRAP 10:00\n4, +4 each round: step-up @ 50 cm\n8 ring row' },
  { name: 'Every minute', kind: 'every', text: 'EMOM 12:00\n1: 12/9 cal row\n2: 10 alternating db snatch @ 22.5/15 kg\n3: 40 s plank' },
  { name: 'Work and rest', kind: 'intervals', text: '0:40 on / 0:20 off x 8\ngoblet squat @ 16/12 kg\nring row' },
  {
    name: 'Sets, each for time',
    kind: 'forTime',
    text: '3 sets, rest 1:00 between\n  3 rounds\n    20 double-under\n    9 front squat @ 60/42.5 kg\n    7 toes-to-bar\nscore: each set\nwindow: 3:00-4:30 per set',
  },
  {
    name: 'Fixed windows',
    kind: 'windows',
    text: 'every 7:00 x 2, rest what is left\nwindow 1:\n  400 m run\n  20 push-up\nwindow 2:\n  400 m run\n  20 air squat',
  },
  { name: 'A heavy single', kind: 'maxLoad', text: 'max load in 15:00\n1 power clean' },
  { name: 'Strength sets', kind: 'strength', text: 'strength\n5 x 3 back squat @ 80%, rest 2:00' },
  { name: 'For quality', kind: 'quality', text: 'for quality\n3 rounds\n  30 s hollow hold\n  8 ring row' },
  { name: 'Rest between parts', kind: 'rest', text: 'rest 3:00' },
];
