import { createRequire } from 'node:module';
import { join } from 'node:path';
import { build, install, root } from './setup.mjs';

/**
 * How well recordings are listened to: made greetings, right and wrong, of every voice of Flite, each once a little quicker
 * and higher or slower and lower, some with noise. None of them was looked at when the limits were chosen.
 */
install();
build();
const require = createRequire(join(root, 'server', 'package.json'));
const { Recogniser } = require(join(root, 'server', 'dist', 'listening', 'recogniser.js'));
const { runFlite, outFolder } = require(join(root, 'server', 'dist', 'speech', 'flite.js'));
const { joinPcm, readWav, resample, writeWav } = require('@locutor/core/audio');
const { exactGrammar, expectedSentences, slotGrammar, tokensOf, verdictOf } = require('@locutor/core/listening');

const voices = ['slt', 'awb', 'rms', 'kal16'];
const rateHz = 16_000;

/** What should be said, and what is said instead. */
const greetings = [
  [
    'Welcome to the Harrow Street Clinic. To book or change a visit, press 1. For repeat prescriptions, press 2. For anything else, press 0.',
    'Welcome to the Harrow Street Clinic. To book or change a visit, press 1. For repeat prescriptions, press 3. For anything else, press 0.',
    'Welcome to the Harrow Street Clinic. To book or change a visit, press 1. For anything else, press 0.',
  ],
  [
    'We are open Tuesday to Saturday from ten to six. Please call again then.',
    'We are open Tuesday to Saturday from ten to seven. Please call again then.',
    'We are open Wednesday to Saturday from ten to six. Please call again then.',
  ],
  [
    'All our colleagues are talking to other callers. Please wait, or press 5 to leave a message.',
    'All our colleagues are talking to other callers. Please wait, or press 8 to leave a message.',
    'All our colleagues are gone for the day. Please call back tomorrow morning.',
  ],
  [
    'This is the workshop of Peter Lang. Leave your name and number after the tone.',
    'This is the workshop of Peter Lang. The workshop has moved to Mill Road.',
    'Thank you, and have a good evening.',
  ],
  [
    'For directions, press 6. For the car park, press 7. To return to the main menu, press star.',
    'For directions, press 7. For the car park, press 6. To return to the main menu, press star.',
    'For directions, press 6. To return to the main menu, press star.',
  ],
  [
    'We are closed on Thursday the 4th of July. We open again on Friday at eight.',
    'We are closed on Thursday the 4th of July. We open again on Friday at nine.',
    'We are closed on Monday the 25th of December. We open again on Tuesday at eight.',
  ],
  [
    'You are through to accounts. One moment, please.',
    'You are through to deliveries. One moment, please.',
    'The number you have dialled is not in use.',
  ],
  ['To hear this again, press 9.', 'To hear this again, press 4.', 'To end this call, press 9.'],
  [
    'Room service is available until midnight. Dial 4 0 7 from your room.',
    'Room service is available until midnight. Dial 4 0 9 from your room.',
    'Room service is available until noon. Dial 4 0 7 from your room.',
  ],
  [
    'The library is closed this week while we paint the reading room.',
    'The library is open this week and the reading room is painted.',
    'Please renew your books by telephone or by mail.',
  ],
];

const recogniser = new Recogniser();
if (!recogniser.isThere) {
  console.log('No recogniser is installed: recordings are left at "not known".');
} else {
  await measure('as recorded', false);
  await measure('as a telephone carries it', true);
}
await recogniser.onModuleDestroy();

async function measure(name, isNarrow) {
  const found = { right: { right: 0, unclear: 0, other: 0 }, wrong: { right: 0, unclear: 0, other: 0 } };
  const began = performance.now();
  let count = 0;
  for (const [at, [expected, ...others]] of greetings.entries()) {
    for (const [kind, said] of [expected, ...others].entries()) {
      const speakers = kind === 0 ? voices : [voices[(at + kind) % 4], voices[(at + kind + 2) % 4]];
      for (const [index, voice] of speakers.entries()) {
        const wav = await recorded(voice, said, at + kind + index, isNarrow);
        const { type } = await listen(wav, expected, isNarrow);
        found[kind === 0 ? 'right' : 'wrong'][type] += 1;
        if (kind > 0 && type === 'right') console.log(`  Missed, in the voice ${voice}: ${said}`);
        count += 1;
      }
    }
  }
  const seconds = (performance.now() - began) / 1000 / count;
  console.log(`Listening, ${name}: ${seconds.toFixed(1)} s each`);
  for (const kind of ['right', 'wrong']) {
    const { right, unclear, other } = found[kind];
    console.log(`  ${kind} ones: ${right} said to be right, ${unclear} not known, ${other} said to be something else`);
  }
}

async function recorded(voice, text, variant, isNarrow) {
  const run = await runFlite('-voice', voice, '-t', text, '-o', `${outFolder}/spoken.wav`);
  const wav = readWav(run.file('spoken.wav')).value;
  // Played at another rate it is quicker and higher, or slower and lower.
  const pace = [1, 1.06, 0.94, 1][variant % 4];
  const heard = resample({ samples: wav.samples, rateHz: Math.round((wav.rateHz * pace) / 100) * 100 }, rateHz);
  const noisy = variant % 4 === 3 ? { ...heard, samples: heard.samples.map(withNoise) } : heard;
  const narrow = isNarrow ? resample(resample(noisy, 8000), rateHz) : noisy;
  const silence = { samples: new Float32Array(rateHz / 4), rateHz };
  return writeWav(joinPcm([silence, narrow, silence], rateHz));
}

function withNoise(sample, index) {
  // The same noise every time: about 45 dB below full scale.
  const random = Math.sin(index * 12.9898) * 43_758.5453;
  return sample + 0.01 * (2 * (random - Math.floor(random)) - 1);
}

function listen(wav, expected, isNarrow) {
  const sentences = expectedSentences({ words: expected, options: [], live: [] });
  const tokens = sentences.map((sentence) => tokensOf(sentence));
  return recogniser.listenTo(wav, async ({ held, freely }) => {
    const hearing = { exact: await held(exactGrammar(tokens)), slots: await held(slotGrammar(tokens)), isNarrow };
    const first = verdictOf(sentences, tokens, { ...hearing, free: [] });
    return first.type === 'right' ? first : verdictOf(sentences, tokens, { ...hearing, free: await freely() });
  });
}
