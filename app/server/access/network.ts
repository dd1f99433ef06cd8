import { isIPv4, isIPv6 } from "node:net";

const GROUPS_OF_A_NETWORK = 4;

/** The eight groups of an IPv6 address, "::" written out; an IPv4 address at its end is two of them. */
function groupsOf(address: string): string[] {
  const [bare] = address.split("%") as [string];
  const plain = bare.replace(/(\d+)\.(\d+)\.(\d+)\.(\d+)$/, (_, ...parts: string[]) => {
    const [a, b, c, d] = parts.map(Number) as [number, number, number, number];
    return `${(a * 256 + b).toString(16)}:${(c * 256 + d).toString(16)}`;
  });
  const [head = "", tail] = plain.split("::");
  const before = head.split(":").filter(Boolean);
  if (tail === undefined) return before;
  const after = tail.split(":").filter(Boolean);
  return [...before, ...Array<string>(8 - before.length - after.length).fill("0"), ...after];
}

/**
 * Whom an address counts as: one IPv4 address, or the network of 64 bits that whoever has one IPv6
 * address has all addresses of.
 */
export function networkOf(address: string): string {
  if (isIPv4(address) || !isIPv6(address)) return address;
  const groups = groupsOf(address).map((group) => parseInt(group, 16));
  const mapped = groups.slice(0, 5).every((group) => group === 0) && groups[5] === 0xffff;
  if (mapped) {
    return groups
      .slice(6)
      .flatMap((group) => [group >> 8, group & 255])
      .join(".");
  }
  const network = groups.slice(0, GROUPS_OF_A_NETWORK).map((group) => group.toString(16));
  return `${network.join(":")}::/64`;
}
