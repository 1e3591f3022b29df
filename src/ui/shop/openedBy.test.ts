import { openedBy } from './openedBy';

const items = [{ name: 'collet' }, { name: 'like collet' }];
const like = ({ name }: { name: string }) => ({ name: `${name}, another` });
const opened = (asked: string | undefined, beside = {}) => openedBy(asked, items, ({ name }) => name, beside);

describe('openedBy', () => {
  it('opens one of the list in its own place, and another like it behind the last', () => {
    expect(opened('change collet')).toEqual({ item: { name: 'collet' }, index: 0 });
    expect(opened('like collet', { like })).toEqual({ item: { name: 'collet, another' }, index: 2 });
    expect(opened('change like collet')).toEqual({ item: { name: 'like collet' }, index: 1 });
  });

  it('opens a new one and an offered one where there is one', () => {
    expect(opened('new', { fresh: { name: '' } })).toEqual({ item: { name: '' }, index: 2 });
    expect(opened('offered', { offered: { name: 'bush' } })).toEqual({ item: { name: 'bush' }, index: 2 });
    expect(opened('new')).toBeUndefined();
    expect(opened('offered')).toBeUndefined();
  });

  it('opens nothing for what is not there, or cannot be', () => {
    expect(opened(undefined)).toBeUndefined();
    expect(opened('change chuck')).toBeUndefined();
    expect(opened('like collet')).toBeUndefined();
  });
});
