import { USUAL_SETTINGS } from '../model/deviceSettings';
import { readDeviceSettings } from './deviceSettings';

describe('readDeviceSettings', () => {
  it('takes what was chosen, and the usual for what was not', () => {
    expect(readDeviceSettings('{"units":"in"}')).toEqual({ units: 'in', mark: 'point', weekFrom: 0 });
    expect(readDeviceSettings('{"mark":"comma","weekFrom":6}')).toEqual({ units: 'mm', mark: 'comma', weekFrom: 6 });
  });

  it('begins with the usual where nothing is kept, or what is kept is none of ours', () => {
    for (const text of [undefined, '', 'inch', '[]', '{"units":"cubit"}', '{"weekFrom":3}', '{"more":1}'])
      expect(readDeviceSettings(text)).toEqual(USUAL_SETTINGS);
  });
});
