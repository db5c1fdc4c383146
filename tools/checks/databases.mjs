/** Each server test file has a database of its own, and so has the browser. */
export const databases = [
  ...['jest', 'jest_demo', 'jest_hands', 'jest_gate', 'jest_fuzz', 'jest_two', 'jest_servers', 'jest_saved', 'jest_restored', 'jest_empty', 'jest_cases'],
  ...[
    'jest_library',
    'jest_moves',
    'jest_shared',
    'jest_doors',
    'jest_feeds',
    'jest_together',
    'jest_messages',
    'jest_record',
    'jest_hurt',
    'jest_harm',
    'jest_safe',
  ],
  'e2e',
].map((name) => `gambito_${name}`);
