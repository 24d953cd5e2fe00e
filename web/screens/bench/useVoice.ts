import { useEffect, useRef } from 'react'

export const canSpeak = (): boolean => 'speechSynthesis' in window

/** Speaks some words when they change; what was being said before is not said to its end. */
export function useVoice(on: boolean, words: string): void {
  const last = useRef('')
  useEffect(() => {
    if (!on || !canSpeak()) {
      last.current = ''
      return
    }
    if (words === last.current) return
    last.current = words
    window.speechSynthesis.cancel()
    const said = new SpeechSynthesisUtterance(words)
    said.lang = 'en'
    window.speechSynthesis.speak(said)
  }, [on, words])
  useEffect(() => () => void (canSpeak() && window.speechSynthesis.cancel()), [])
}
