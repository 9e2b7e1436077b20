import type { CueChannels, Tone, Utterance } from '~~/core/wrist/engine/speaker'

const hertz: Readonly<Record<Tone, number[]>> = { low: [440], high: [880], long: [660, 660], rising: [520, 700], falling: [700, 460] }

/** What this browser can make heard and felt. */
export const canSpeak = () => 'speechSynthesis' in globalThis
export const canTap = () => 'vibrate' in navigator

/** Says, sounds and taps what the speaker decides; one thing at a time. */
export function outlet(school: () => CueChannels) {
  let sound: AudioContext | null = null
  function tone(kind: Tone) {
    sound ??= new AudioContext()
    hertz[kind].forEach((frequency, index) => {
      const [oscillator, gain] = [sound!.createOscillator(), sound!.createGain()]
      const at = sound!.currentTime + index * 0.18
      oscillator.frequency.value = frequency
      gain.gain.setValueAtTime(0.18, at)
      gain.gain.exponentialRampToValueAtTime(0.001, at + 0.16)
      oscillator.connect(gain).connect(sound!.destination)
      oscillator.start(at)
      oscillator.stop(at + 0.17)
    })
  }
  return {
    /** Opened by a push of a button: a browser plays nothing before one. */
    open: () => void (sound ??= typeof AudioContext === 'undefined' ? null : new AudioContext()),
    say({ words, tone: kind, tap, cuts }: Utterance) {
      const { voice, tone: hasTone, tap: hasTap } = school()
      if (hasTap && canTap()) navigator.vibrate(tap)
      if (hasTone && sound) tone(kind)
      if (!voice || !canSpeak() || words === '') return
      if (cuts) speechSynthesis.cancel()
      const utterance = new SpeechSynthesisUtterance(words.replaceAll('/km', ' a kilometre').replaceAll('/mi', ' a mile'))
      utterance.lang = 'en'
      speechSynthesis.speak(utterance)
    },
  }
}
