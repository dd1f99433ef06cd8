import { data } from "react-router";
import { words } from "~/words";

export const loader = () => {
  throw data({ sentence: words.trouble.nothingHere }, { status: 404 });
};

export default function Nowhere() {
  return null;
}
