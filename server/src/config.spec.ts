import { configFrom } from './config';

describe('the configuration', () => {
  it('has defaults, and takes what the environment says', () => {
    expect(configFrom({ LOCUTOR_VOICES: '/srv/voices' }).voicesDir).toBe('/srv/voices');
    expect(configFrom({})).toMatchObject({ port: 4140, webDir: null });
    expect(configFrom({ PORT: '0', LOCUTOR_DATA: '/srv/locutor', LOCUTOR_WEB: '/srv/web' })).toEqual({
      port: 0,
      dataDir: '/srv/locutor',
      webDir: '/srv/web',
    });
  });

  it.each(['http', '-1', '70000', '41.5'])('refuses %s for a port', (PORT) => {
    expect(() => configFrom({ PORT })).toThrow(PORT);
  });
});
