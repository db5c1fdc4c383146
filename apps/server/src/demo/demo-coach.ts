export const demoEmail = 'coach@lanterns.example';
