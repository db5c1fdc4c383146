/** `Best Sets`, `bodyMass`, `No-Running` → `best_sets`, `body_mass`, `no_running`: a key of a file as it is compared. */
export const plainKey = (key: string): string =>
  key
    .slice(0, 120)
    .replaceAll(/([a-z])([A-Z])/g, '$1_$2')
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]+/gu, '_')
    .replaceAll(/^_+|_+$/g, '');
