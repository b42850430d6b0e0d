import { expect, type Page } from "@playwright/test";
import { press, tabTo, typeInto } from "./keys";

/** By keyboard: a wool carder is taken in and made safe, its start capacitor drained. */
export async function fromTheDoor(page: Page, address: string): Promise<void> {
  const bench = page.getByTestId("bench-state");
  await page.goto(address);
  await press(page, "Take in a machine");
  await page.waitForURL("**/jobs/new");

  await press(page, "Does not turn", " ");
  await press(page, "Hum", " ");
  await typeInto(page, "In the owner's words", "It hums. If I spin the drum it goes.");
  await typeInto(page, "Machine", "Wool carder");
  await typeInto(page, "Owner", "Tansy Weavers");
  await typeInto(page, "Stands at", "left bench");
  await press(page, /^Tag, money, recall/);
  await typeInto(page, /^Ring the owner above/, "80");
  await typeInto(page, "Volts", "230");
  await typeInto(page, "Power", "1/2 hp");
  await tabTo(page, /^Kind of motor/);
  await page.keyboard.type("Capacitor start");
  await press(page, "Not known", "ArrowRight");
  await expect(page.getByRole("radio", { name: "I, earthed" })).toBeChecked();
  await press(page, "Not known", "ArrowRight");
  await expect(page.getByRole("radio", { name: "Cord and plug" })).toBeChecked();
  await press(page, "Take it in");
  await page.waitForURL("**/make-safe");
  await expect(bench).toContainText("Not known: is the plug out?");

  await press(page, "Out, plug in sight");
  await expect(bench).toContainText("Unplugged, charge not read");
  await press(page, "Sound");
  await expect(page.getByTestId("answer-look-and-cord")).toContainText("passed");
  await typeInto(page, "Reading", "0.05");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("answer-earth-continuity")).toContainText("passed");
  await typeInto(page, "Reading", "85M");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "What else can hurt" })).toBeVisible();
  await press(page, "Dust, mould, carbon: Seen to");
  await typeInto(page, /^What is printed on the start capacitor/, "145-174 uF 250 VAC");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("resistor-refused")).toContainText("Say what the resistor bears");
  await typeInto(page, "Watts", "5");
  await typeInto(page, "Volts", "400");
  await expect(page.getByTestId("drain-time")).toContainText("12 s");
  await typeInto(page, "Volts read across it, direct", "0.3");
  await page.keyboard.press("Enter");
  await expect(bench).toContainText("Unplugged, 0.3 V, read once");
  await press(page, "The clip stays on");
  await expect(bench).toContainText("Unplugged, clip left on");
}
