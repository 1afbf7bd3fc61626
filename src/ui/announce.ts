type Hear = (words: string) => void;
const hearers = new Set<Hear>();

/** Says a milestone to who listens instead of looking, once the sentence before it has been said. */
export function announce(words: string): void {
  for (const hear of hearers) hear(words);
}

/** Hears what is announced, until the given function is called. */
export function hearAnnouncements(hear: Hear): () => void {
  hearers.add(hear);
  return () => void hearers.delete(hear);
}
