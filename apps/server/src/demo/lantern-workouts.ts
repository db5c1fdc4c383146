/** Workouts of the Lanterns; `daysAgo` counts back from the day the demo is loaded. Ours, for the demo only. Their windows are met by the reference
 * athletes, but for Long Stairs: there the desk says that the window slipped. */
export const lanternWorkouts: readonly { readonly daysAgo: number; readonly text: string; readonly tags?: readonly string[] }[] = [
  {
    daysAgo: 0,
    tags: ['class'],
    text: '# Breakwater\nAMRAP 14:00\n7 db push press @ 2x17.5/12.5 kg\n9 toes-to-bar\n40 m shuttle run\nintent: 9-12 rounds, light, unbroken while fresh\n',
  },
  {
    daysAgo: -1,
    tags: ['class', 'long'],
    text: '# Two Tides\nfor time, cap 9:00\n24-16-8\nkettlebell swing @ 24/16 kg\nbox jump-over @ 60/50 cm\n\nrest until 14:00\n\nfor time, cap 12:00\n30-25-20-15-10\ndouble-under\ncal row\n',
  },
  { daysAgo: -2, tags: ['quiet'], text: '# Lantern Oil\nEMOM 15:00\n1: 12/9 cal row\n2: 10 db snatch @ 22.5/15 kg\n3: 40 s plank\n' },
  {
    daysAgo: 2,
    tags: ['class'],
    text: '# Fog Signal\nfor time, cap 14:00\n5 rounds\n  200 m run\n  15 kettlebell swing @ 24/16 kg\n  10 push-up\nwindow: 8:00-11:30\n',
  },
  {
    daysAgo: 5,
    tags: ['class'],
    text: '# Net Loft\nAMRAP 12:00\n6 power clean @ 50/35 kg\n8 lateral burpee\n12 walking lunge\nintent: 6-8 rounds, moderate\n',
  },
  { daysAgo: 8, tags: ['short'], text: '# Slipway\nfor time, cap 12:00\n24-18-12-6\nfront squat @ 40/27.5 kg\nring row\nwindow: 5:00-8:00\n' },
  {
    daysAgo: 12,
    tags: ['class'],
    text: '# Cold Store\n3 sets, rest 1:00 between\n  3 rounds\n    20 double-under\n    9 front squat @ 60/42.5 kg\n    7 toes-to-bar\nscore: each set\nwindow: 3:00-4:30 per set\n',
  },
  { daysAgo: 15, tags: ['quiet'], text: '# Long Stairs\nAMRAP 12:00\n4, +4 each round: step-up @ 50 cm\n10 burpee\n15 m bear crawl\nwindow: 9-11 rounds\n' },
  {
    daysAgo: 19,
    tags: ['class', 'long'],
    text: '# Ebb\nfor time, cap 20:00\n1000 m row\n50 air squat\n40 sit-up\n30 push-up\n800 m run\nwindow: 10:30-16:00\n',
  },
];
