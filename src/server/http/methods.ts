import { WIRE } from "@/wire/wire";

const ADDRESSES = Object.keys(WIRE).map((name) => {
  const [method = "", path = ""] = name.split(" ");
  const pattern = path.replace(/[.]/g, "\\.").replace(/\{\w+\}/g, "[^/]+");
  return { method, address: new RegExp(`^${pattern}/?$`) };
});

/** The methods that an address answers to; none where there is no such address. */
export function answersTo(address: string): readonly string[] {
  return ADDRESSES.filter((one) => one.address.test(address)).map(({ method }) => method);
}
