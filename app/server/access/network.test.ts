import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { networkOf } from "./network";

describe("whom an address counts as", () => {
  test.each([
    ["192.0.2.7", "192.0.2.7"],
    ["::ffff:192.0.2.7", "192.0.2.7"],
    ["::ffff:c000:207", "192.0.2.7"],
    ["2001:db8:1:2:3:4:5:6", "2001:db8:1:2::/64"],
    ["2001:DB8:1:2::9", "2001:db8:1:2::/64"],
    ["2001:db8::1", "2001:db8:0:0::/64"],
    ["fe80::1%eth0", "fe80:0:0:0::/64"],
    ["::1", "0:0:0:0::/64"],
    ["", ""],
  ])("%s is %s", (address, network) => {
    expect(networkOf(address)).toBe(network);
  });

  test("whatever comes behind the first 64 bits is the same network", () => {
    const group = fc.integer({ min: 0, max: 0xffff }).map((n) => n.toString(16));
    const four = fc.tuple(group, group, group, group);
    fc.assert(
      fc.property(four, four, four, (network, one, other) => {
        const of = (rest: readonly string[]) => networkOf([...network, ...rest].join(":"));
        expect(of(one)).toBe(of(other));
      }),
    );
  });
});
