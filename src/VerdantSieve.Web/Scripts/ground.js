// Maps: a tree and its line in the list point at each other; on an outing the device or the simulated GPS says where one is.
(() => {
  const point = (number, on) =>
    document.querySelectorAll(`[data-tree="${number}"]`).forEach((one) => one.classList.toggle("pointed", on));
  for (const [over, out] of [["pointerover", "pointerout"], ["focusin", "focusout"]]) {
    document.addEventListener(over, (event) => { const at = event.target.closest?.("[data-tree]"); if (at) point(at.dataset.tree, true); });
    document.addEventListener(out, (event) => { const at = event.target.closest?.("[data-tree]"); if (at) point(at.dataset.tree, false); });
  }

  const walk = document.querySelector(".walk");
  if (!walk) return;
  const form = walk.querySelector("form"), said = document.querySelector(".walked"), stop = walk.querySelector("[name=stop]");
  // A second of the page is half a minute of the simulated walk, so that it is over before one is bored.
  const hurry = 30, every = 1000, sendAt = 5;
  let passed = [], timer = null, watch = null, began = 0;

  const here = ({ latitude, longitude, elevation }) => {
    form.latitude.value = latitude.toFixed(6);
    form.longitude.value = longitude.toFixed(6);
    form.elevation.value = Math.round(elevation ?? 0);
    passed.push(`${latitude},${longitude},${elevation ?? 0}`);
    said.textContent = `You are at ${latitude.toFixed(4)}, ${longitude.toFixed(4)}.`;
    if (passed.length >= sendAt) send();
  };
  const send = async () => {
    if (!passed.length) return;
    const body = new URLSearchParams(passed.map((at) => ["at", at]));
    body.append("__RequestVerificationToken", form.querySelector("[name=__RequestVerificationToken]").value);
    const sent = passed;
    passed = [];
    try {
      if (!(await fetch(walk.dataset.walk, { method: "POST", body })).ok) throw new Error("not taken");
    } catch {
      // Kept, and sent with what comes next.
      passed = sent.concat(passed);
      said.textContent += " The way is not saved yet; it is tried again.";
    }
  };
  const walking = (on) => { stop.hidden = !on; };
  walk.querySelector("[name=simulated]")?.addEventListener("click", () => {
    clearInterval(timer);
    began = Date.now();
    walking(true);
    const step = async () => {
      const answer = await fetch(`${walk.dataset.gps}?at=${((Date.now() - began) / 1000) * hurry}`);
      if (answer.ok) here(await answer.json());
    };
    step();
    timer = setInterval(step, every);
  });
  walk.querySelector("[name=device]").addEventListener("click", () => {
    if (!navigator.geolocation) { said.textContent = "This device does not say where it is."; return; }
    walking(true);
    watch = navigator.geolocation.watchPosition(
      ({ coords }) => here({ latitude: coords.latitude, longitude: coords.longitude, elevation: coords.altitude }),
      () => { said.textContent = "This device does not say where it is. Write degrees, or tap the map on the tree’s page."; walking(false); },
      { enableHighAccuracy: true });
  });
  stop.addEventListener("click", async () => {
    clearInterval(timer);
    if (watch !== null) navigator.geolocation.clearWatch(watch);
    walking(false);
    await send();
    location.reload();
  });
  // Whoever goes on to a tree has walked so far.
  form.addEventListener("submit", () => {
    if (!passed.length) return;
    const body = new URLSearchParams(passed.map((at) => ["at", at]));
    body.append("__RequestVerificationToken", form.querySelector("[name=__RequestVerificationToken]").value);
    navigator.sendBeacon(walk.dataset.walk, body);
  });
})();
