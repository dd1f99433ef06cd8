export { tappedTempo, type TappedTempo } from "./tapped-tempo";
export { spreadAgainst } from "./spread";
