export function SoundCheck() {
  return null;
}
