/** Whether this browser can say words aloud. */
export function canSpeak(): boolean {
  return typeof window !== "undefined" && "speechSynthesis" in window;
}

/** Says words aloud by the browser's own voice; what was still being said is cut short. */
export function speak(words: string): void {
  if (!canSpeak() || words === "") return;
  window.speechSynthesis.cancel();
  const said = new SpeechSynthesisUtterance(words);
  said.lang = "en-US";
  window.speechSynthesis.speak(said);
}
