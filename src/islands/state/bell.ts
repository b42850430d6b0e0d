/** The bell of the timers: two short tones, made here, no file. Browsers let it sound after the first touch. */
let audio: AudioContext | undefined;

const TONES_HZ = [880, 660] as const;
const TONE_S = 0.18;
const LOUDNESS = 0.25;

function wake(): void {
  if (typeof AudioContext === "undefined") return;
  audio ??= new AudioContext();
  if (audio.state === "suspended") void audio.resume();
}

/** Lets the bell sound later: called once, listens for the first touch or key. */
export function armBell(): () => void {
  document.addEventListener("pointerdown", wake, { once: true });
  document.addEventListener("keydown", wake, { once: true });
  return () => {
    document.removeEventListener("pointerdown", wake);
    document.removeEventListener("keydown", wake);
  };
}

/** @returns whether it could sound */
export function ringBell(): boolean {
  if (audio?.state !== "running") return false;
  const start = audio.currentTime;
  for (const [index, hertz] of TONES_HZ.entries()) {
    const tone = audio.createOscillator();
    const level = audio.createGain();
    tone.frequency.value = hertz;
    level.gain.value = LOUDNESS;
    tone.connect(level).connect(audio.destination);
    tone.start(start + index * TONE_S);
    tone.stop(start + (index + 1) * TONE_S);
  }
  return true;
}

/** Whether this browser can show notes outside the page, and was asked already. */
export function noticeState(): "granted" | "denied" | "default" | "missing" {
  return typeof Notification === "undefined" || !window.isSecureContext ? "missing" : Notification.permission;
}

export async function askForNotices(): Promise<void> {
  if (noticeState() === "default") await Notification.requestPermission();
}

/** A note outside the page, where the browser allows it; one for each tag. */
export function notice(title: string, tag: string): void {
  if (noticeState() === "granted") new Notification(title, { tag });
}
