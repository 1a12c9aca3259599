import { type Page, expect, kept, openDemo, test } from './bench';

async function openProof(page: Page) {
  await openDemo(page);
  await page.keyboard.press('6');
  await page.waitForURL('**/proof');
  await page.getByLabel('Of which scene').selectOption({ label: 'Loom lesson' });
}
const kit = (page: Page) => page.getByRole('region', { name: 'A simulated take' });
const list = (page: Page) => page.getByRole('list', { name: 'Takes kept' }).getByRole('button');
const bringIn = (page: Page, files: { name: string; mimeType: string; buffer: Buffer }[]) =>
  page.locator('input[type=file]').first().setInputFiles(files);

/** A WAV file of 16 bits, made here: so many seconds of a tone that stops and comes again, over silence. */
function wav(
  seconds: number,
  { hz = 440, size = 0.2, delayS = 0, rate = 48_000, noise = 0.0008 } = {}
): Buffer {
  const frames = Math.round(seconds * rate);
  const bytes = Buffer.alloc(44 + frames * 2);
  bytes.write('RIFF', 0);
  bytes.writeUInt32LE(36 + frames * 2, 4);
  bytes.write('WAVEfmt ', 8);
  bytes.writeUInt32LE(16, 16);
  bytes.writeUInt16LE(1, 20);
  bytes.writeUInt16LE(1, 22);
  bytes.writeUInt32LE(rate, 24);
  bytes.writeUInt32LE(rate * 2, 28);
  bytes.writeUInt16LE(2, 32);
  bytes.writeUInt16LE(16, 34);
  bytes.write('data', 36);
  bytes.writeUInt32LE(frames * 2, 40);
  for (let index = 0; index < frames; index++) {
    const t = index / rate - delayS;
    // Words of uneven length, so that no two stretches are alike.
    const isOn = t >= 0 && Math.sin(t * 1.7) + Math.sin(t * 2.9) > 0;
    const hiss = Math.sin(index * 12.9898) * 43_758.5453;
    const sample =
      (isOn ? size * Math.sin(2 * Math.PI * hz * t) : 0) + noise * (hiss - Math.floor(hiss) - 0.5);
    bytes.writeInt16LE(Math.round(sample * 32_767), 44 + index * 2);
  }
  return bytes;
}

test('a take the kit would make is measured, agrees with what was told, and is kept', async ({
  page
}) => {
  await openProof(page);
  await kit(page).getByRole('button', { name: 'Simulate a sound take' }).click();
  const take = page.getByRole('article', { name: /^Take Take 1/ });
  await expect(take).toBeVisible({ timeout: 30_000 });
  const over = take.getByRole('row').filter({ hasText: 'voice over noise' });
  await expect(over).toContainText('usable');
  await expect(over).toContainText('told 28.9');
  await expect(over).not.toContainText('than told');
  await expect(take.getByRole('row').filter({ hasText: 'hum' })).toContainText('unheard');
  await expect(take).toContainText(/m nearer/);

  await page.reload();
  await expect(list(page)).toHaveCount(1);
  await expect(page.getByText(/MB in this browser; they are never sent anywhere/)).toBeVisible();
  await page.getByRole('button', { name: /^Delete ?Take 1/ }).click();
  await expect(page.getByText('Hear it before you rely on it')).toBeVisible();
});

test('a worse take says what changed, is compared, listened to unseen and laid on the other', async ({
  page
}) => {
  await openProof(page);
  await kit(page).getByRole('button', { name: 'Simulate a sound take' }).click();
  await expect(list(page)).toHaveCount(1, { timeout: 30_000 });
  await kit(page).getByText('The microphone cable lies along a mains cable').click();
  await kit(page).getByLabel('Gain past what is wanted').fill('12');
  await kit(page).getByLabel('Gain past what is wanted').press('Tab');
  await kit(page).getByRole('button', { name: 'Simulate a sound take' }).click();
  await expect(list(page)).toHaveCount(2, { timeout: 30_000 });
  await list(page).nth(1).click();
  await list(page).nth(0).click();
  const compared = page.getByRole('region', { name: 'Two takes compared' });
  await expect(compared.getByRole('listitem').first()).toHaveText(
    'Neither is cleaner than the other.'
  );
  await expect(compared).toContainText(/hum at 50 Hz in the second/i);
  await expect(compared).toContainText(/Its peaks are 1\d dB higher/);
  const worse = page.getByRole('article', { name: /^Take Take 2/ });
  await expect(worse).toContainText(/gain down \d+ dB/);
  await expect(worse).toContainText('cables apart');

  const tried = page.getByRole('region', { name: 'Places and levels tried' }).getByRole('row');
  await expect(tried).toHaveCount(3);
  await expect(tried.filter({ hasText: 'Take 2' })).toContainText(/−48\.\d dBFS/);

  await expect(compared).not.toContainText('chosen');
  await compared.getByRole('button', { name: 'A is better' }).click();
  await expect(compared).toContainText('chosen 1 of 1 times');
  await expect(compared).toContainText('chosen 0 of 1 times');
  await compared.getByRole('button', { name: 'Lay the second on the first' }).click();
  await expect(compared.getByRole('status')).toContainText('Both begin together.', {
    timeout: 30_000
  });
});

test('files come in several at once, bad ones are told and lose nothing; a delay is found', async ({
  page
}) => {
  await openProof(page);
  const cut = wav(2).subarray(0, 3000);
  await bringIn(page, [
    { name: 'camera.wav', mimeType: 'audio/wav', buffer: wav(14) },
    { name: 'cut.wav', mimeType: 'audio/wav', buffer: Buffer.from(cut) },
    { name: 'words.wav', mimeType: 'audio/wav', buffer: Buffer.from('only words') },
    { name: 'recorder.wav', mimeType: 'audio/wav', buffer: wav(14, { delayS: 0.4 }) }
  ]);
  await expect(list(page)).toHaveCount(2, { timeout: 30_000 });
  await expect(page.getByRole('alert').filter({ hasText: 'cut.wav' })).toContainText('cut short');
  await expect(page.getByRole('alert').filter({ hasText: 'words.wav' })).toContainText(
    'too short to be a WAV file'
  );
  await list(page).filter({ hasText: 'camera' }).click();
  await list(page).filter({ hasText: 'recorder' }).click();
  const compared = page.getByRole('region', { name: 'Two takes compared' });
  await compared.getByRole('button', { name: 'Lay the second on the first' }).click();
  await expect(compared.getByRole('status')).toContainText(
    'Move the second forward by 400 ms, 10.0 frames at 25.',
    { timeout: 30_000 }
  );
});

test('a measured noise takes the place of a guessed one, and the judge follows', async ({
  page
}) => {
  await openProof(page);
  // A tone over a hiss of its own: noisier than the loom's room was said to be.
  await bringIn(page, [
    { name: 'noisy.wav', mimeType: 'audio/wav', buffer: wav(12, { noise: 0.06 }) }
  ]);
  const take = page.getByRole('article', { name: 'Take noisy.wav' });
  await expect(take.getByRole('row').filter({ hasText: 'voice over noise' })).toContainText(
    /dB less than told/,
    { timeout: 30_000 }
  );
  await take.getByRole('button', { name: /^Take \d+ dB\(A\) as the noise of the place/ }).click();
  await kept(page);
  await expect(take.getByRole('button', { name: /as the noise of the place/ })).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(take.getByRole('button', { name: /as the noise of the place/ })).toBeVisible();
});

test('a still is measured, and where the face is can be said by hand', async ({ page }) => {
  await openProof(page);
  await kit(page).getByText('White balance left at daylight').click();
  await kit(page).getByRole('button', { name: 'Simulate a still' }).click();
  const still = page.getByRole('article', { name: 'Still Still 1' });
  await expect(still).toBeVisible({ timeout: 30_000 });
  const face = still.getByRole('row').filter({ hasText: 'brightness of the face' });
  await expect(face).toContainText('as wanted');
  const before = await face.innerText();
  const picture = still.getByRole('button', { name: /^Point at the face/ });
  await picture.focus();
  for (let index = 0; index < 12; index++) await page.keyboard.press('ArrowLeft');
  await expect(face).not.toHaveText(before);
  await expect(face).toContainText('too dark');
  await expect(still).toContainText(/stops? more light|of a stop more light/);
  await expect(still.getByRole('row').filter({ hasText: 'colour cast' })).toContainText(
    'told none'
  );
  await expect(still.getByRole('row').filter({ hasText: 'light on the grey card' })).toContainText(
    /as told.*told [\d,]+ lx/s
  );
});

test('what works is locked with its proof, breaks when something moves, and is put back', async ({
  page
}) => {
  await openProof(page);
  await kit(page).getByRole('button', { name: 'Simulate a sound take' }).click();
  await expect(list(page)).toHaveCount(1, { timeout: 30_000 });
  const lock = page.getByRole('region', { name: 'The lock of Loom lesson' });
  await lock.getByRole('button', { name: 'Lock Loom lesson' }).click();
  await kept(page);
  await expect(lock).toContainText('Loom lesson is locked with these settings');
  await expect(lock).toContainText('proved by Take 1, 0.90 m (usable)');
  await page.goto('/cards');
  await page.getByRole('tab', { name: 'Settings' }).click();
  await expect(page.getByRole('main')).toContainText(/Loom lesson, locked on 20\d\d-/);

  // The camera is moved in the brief.
  await page.goto('/brief');
  await page
    .getByRole('article', { name: 'Loom lesson' })
    .getByRole('button', { name: 'Where is the camera?' })
    .click();
  const distance = page
    .getByRole('dialog', { name: 'Where is the camera?' })
    .getByRole('spinbutton', { name: 'Lens to face, m' });
  await distance.fill('1.4');
  await distance.press('Enter');
  await kept(page);
  await page.goto('/proof');
  await page.getByLabel('Of which scene').selectOption({ label: 'Loom lesson' });
  await expect(lock).toContainText('Loom lesson is no longer as it was locked');
  await expect(lock.getByRole('list', { name: 'What changed since' })).toContainText(
    'camera to subject: 0.90 m then, 1.40 m now'
  );
  await lock.getByRole('button', { name: 'Put it back' }).click();
  await kept(page);
  await expect(lock).toContainText('Loom lesson is locked with these settings');
  await lock.getByRole('button', { name: 'Unlock' }).click();
  await expect(lock.getByRole('button', { name: 'Lock Loom lesson' })).toBeVisible();
});

test('three takes are told apart from the first, and the best is chosen unseen', async ({
  page
}) => {
  await openProof(page);
  await bringIn(
    page,
    [0.0008, 0.004, 0.02].map((noise, index) => ({
      name: `place-${index + 1}.wav`,
      mimeType: 'audio/wav',
      buffer: wav(6, { noise })
    }))
  );
  await expect(list(page)).toHaveCount(3, { timeout: 30_000 });
  for (const name of ['place-1', 'place-2', 'place-3'])
    await list(page).filter({ hasText: name }).click();
  const compared = page.getByRole('region', { name: 'Three takes compared' });
  await expect(compared).toContainText(/The second is \d+ dB noisier/);
  await expect(compared).toContainText(/The third is \d+ dB noisier/);
  await compared.getByRole('button', { name: 'C is best' }).click();
  await expect(compared.getByText('chosen 1 of 1 times')).toHaveCount(1);
  await expect(compared.getByText('chosen 0 of 1 times')).toHaveCount(2);
  await compared.getByRole('button', { name: 'Lay the third on the first' }).click();
  await expect(compared.getByRole('status')).toContainText('Both begin together.', {
    timeout: 30_000
  });
});

test('a take is made with the microphone and the camera of the machine, once they are allowed', async ({
  page,
  context
}) => {
  await openProof(page);
  const here = page.getByRole('region', { name: 'Made here' });
  await here.getByRole('button', { name: 'Record with the microphone' }).click();
  await expect(here.getByRole('alert')).toContainText('not allowed to use the microphone');
  await context.grantPermissions(['microphone', 'camera']);
  await here.getByRole('button', { name: 'Record with the microphone' }).click();
  await expect(here.getByRole('meter')).toBeVisible();
  await expect(here.getByRole('status')).toContainText(/Recording, [3-9] s/);
  await here.getByRole('button', { name: 'End and measure' }).click();
  await expect(list(page)).toHaveCount(1, { timeout: 30_000 });
  await expect(page.getByRole('article', { name: /^Take Recorded/ })).toContainText(
    /44\.1 kHz|48\.0 kHz/
  );

  await here.getByRole('button', { name: 'Open the camera' }).click();
  await expect
    .poll(() => here.locator('video').evaluate((shown: HTMLVideoElement) => shown.videoWidth))
    .toBeGreaterThan(0);
  await here.getByRole('button', { name: 'Take a still' }).click();
  await expect(list(page)).toHaveCount(2, { timeout: 30_000 });
  await here.getByRole('button', { name: 'Close the camera' }).click();
  await expect(here.locator('video')).toHaveCount(0);
});

test('sound late against picture is found from a clap in a clip', async ({ page }) => {
  await openProof(page);
  // A clip made here: white flashes at one second, the clap is heard a fifth of a second later.
  const clip = await page.evaluate(async () => {
    const canvas = document.createElement('canvas');
    canvas.width = canvas.height = 64;
    const paper = canvas.getContext('2d')!;
    const sound = new AudioContext();
    const out = sound.createMediaStreamDestination();
    const noise = sound.createBuffer(1, sound.sampleRate / 4, sound.sampleRate);
    noise
      .getChannelData(0)
      .forEach(
        (_, index, all) =>
          (all[index] = (Math.random() * 2 - 1) * Math.exp(-index / (sound.sampleRate / 20)))
      );
    const clap = sound.createBufferSource();
    clap.buffer = noise;
    clap.connect(out);
    await sound.resume();
    const recorder = new MediaRecorder(
      new MediaStream([...canvas.captureStream(25).getTracks(), ...out.stream.getTracks()]),
      { mimeType: 'video/webm;codecs=vp8,opus' }
    );
    const parts: Blob[] = [];
    recorder.ondataavailable = ({ data }) => parts.push(data);
    const ended = new Promise((resolve) => (recorder.onstop = resolve));
    recorder.start();
    clap.start(sound.currentTime + 1.2);
    const begun = performance.now();
    await new Promise<void>((resolve) => {
      const draw = () => {
        const after = performance.now() - begun;
        paper.fillStyle = after > 1000 ? '#fff' : '#000';
        paper.fillRect(0, 0, 64, 64);
        if (after < 2000) requestAnimationFrame(draw);
        else resolve();
      };
      draw();
    });
    recorder.stop();
    await ended;
    return [...new Uint8Array(await new Blob(parts).arrayBuffer())];
  });
  const look = page.getByRole('region', { name: 'Sound against picture' });
  const choose = (buffer: Buffer) =>
    look
      .locator('input[type=file]')
      .setInputFiles({ name: 'clap.webm', mimeType: 'video/webm', buffer });
  await choose(Buffer.from('no clip at all'));
  await expect(look.getByRole('alert')).toContainText('cannot be decoded here');
  await choose(Buffer.from(clip));
  await expect(look.getByText(/The clap is heard at \d\.\d+ s/)).toBeVisible();
  // It opens a little before the clap; from there a few frames back, to where the hands touch.
  for (let index = 0; index < 3; index++)
    await look.getByRole('button', { name: 'A frame back' }).click();
  await look.getByRole('button', { name: 'The hands touch here' }).click();
  await expect(look.getByRole('status')).toContainText(
    /The sound is late by \d+ ms, \d\.\d frames: move it forward/
  );
});
