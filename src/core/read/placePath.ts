/** `['part', 'outside', 1, 'shape']` as `part.outside[1].shape`, the one way that paths are written everywhere. */
export const pathOf = (path: readonly (string | number)[]): string =>
  path.reduce<string>(
    (text, key) => (typeof key === 'number' ? `${text}[${key}]` : text === '' ? key : `${text}.${key}`),
    '',
  );
