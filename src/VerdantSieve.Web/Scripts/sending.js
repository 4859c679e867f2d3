// Sends what is recorded in a look, one thing after another. What can't be saved now is said, kept, and sent again. Without scripts forms go
// as forms do.
(() => {
  const $ = (selector) => document.querySelector(selector);
  const store = "unsent", saved = "saved";
  const patience = 20000;
  const pauses = [1000, 2000, 4000, 8000, 15000];
  const reached = { away: "away", gone: "gone", ours: "ours" };

  // Kept for this tab, so that a page that is loaded again goes on where it was.
  const waiting = JSON.parse(sessionStorage.getItem(store) ?? "[]");
  const keep = () => sessionStorage.setItem(store, JSON.stringify(waiting));
  let running = false, tries = 0, timer;

  // What the person went to see last. Whoever has gone on to another question is not called back by the answer to the one before.
  let moves = 0;
  const seen = () => `${performance.timeOrigin} ${moves}`;
  document.addEventListener("htmx:afterSwap", (event) => {
    if (event.detail.xhr && event.detail.target?.id === "main") moves++;
  });

  document.addEventListener("submit", (event) => {
    const form = event.target;
    if (form.method !== "post" || !form.closest("#main.look") || form.getAttribute("hx-boost") === "false") return;
    event.preventDefault();
    event.stopPropagation();
    const body = new URLSearchParams(new FormData(form, event.submitter));
    // One that is sent twice, since its answer was lost, counts once.
    body.set("sent", fresh());
    waiting.push({ page: location.pathname, seen: seen(), action: form.getAttribute("action"), body: body.toString(), what: named(form, event.submitter) });
    keep();
    form.dispatchEvent(new CustomEvent("look:taken", { bubbles: true }));
    run();
  }, true);

  // Works on a plain address in a local network, too, where crypto.randomUUID is not there.
  function fresh() {
    const bytes = crypto.getRandomValues(new Uint8Array(16));
    return [...bytes].map((byte, at) => ([4, 6, 8, 10].includes(at) ? "-" : "") + byte.toString(16).padStart(2, "0")).join("");
  }

  function named(form, submitter) {
    if (form.id === "saying") return `“${form.elements.text.value.trim()}”`;
    const label = submitter?.querySelector(".label")?.lastChild?.textContent ?? submitter?.getAttribute("aria-label") ?? submitter?.textContent;
    return label?.trim() || "a change";
  }

  async function run() {
    if (running) return;
    running = true;
    clearTimeout(timer);
    while (waiting.length > 0) {
      const first = waiting[0];
      // Undo takes back what the page shows when its turn comes; sent again it still means the same step.
      if (!first.tried) at(first);
      const { outcome, html, address, error } = await send(first);
      if (outcome === reached.away) {
        say("It can’t be reached just now; it is sent again by itself.");
        timer = setTimeout(run, pauses[Math.min(tries++, pauses.length - 1)]);
        break;
      }
      if (outcome === reached.ours) {
        say(error ? `The fault is ours (error ${error}).` : "The fault is ours.", true);
        break;
      }
      tries = 0;
      if (outcome === reached.gone) {
        // What else waits for the same look is lost with it.
        const lost = waiting.filter(({ page }) => page === first.page);
        waiting.splice(0, waiting.length, ...waiting.filter((other) => !lost.includes(other)));
        keep();
        say("This look is not there any more, so it was not saved.", true, lost);
        break;
      }
      waiting.shift();
      keep();
      sessionStorage.setItem(saved, JSON.stringify({ page: first.page, when: Date.now() }));
      say();
      if (first.page !== location.pathname) continue;
      if (first.seen === seen()) show(html, address);
      else await refresh();
    }
    running = false;
  }

  function at(first) {
    first.tried = true;
    keep();
    const body = new URLSearchParams(first.body);
    const step = $("#undoing [name=step]")?.value;
    if (!body.has("step") || step === undefined || first.page !== location.pathname) return;
    body.set("step", step);
    first.body = body.toString();
    keep();
  }

  async function send(first, again = true) {
    let response;
    try {
      response = await fetch(first.action, {
        method: "POST",
        headers: { "HX-Request": "true" },
        body: new URLSearchParams(first.body),
        signal: AbortSignal.timeout(patience),
      });
      const html = await response.text();
      // A token goes stale where one signs in or out in another window; the answer brings a new one.
      const token = response.headers.get("Request-Token");
      if (token && again) {
        const body = new URLSearchParams(first.body);
        body.set("__RequestVerificationToken", token);
        first.body = body.toString();
        document.querySelectorAll("[name=__RequestVerificationToken]").forEach((field) => (field.value = token));
        return send(first, false);
      }
      if (response.ok || response.status === 422) return { html, address: response.headers.get("HX-Replace-Url") };
      if ([404, 410].includes(response.status)) return { outcome: reached.gone };
      if ([429, 502, 503, 504].includes(response.status)) return { outcome: reached.away };
      return { outcome: reached.ours, error: response.headers.get("Error-Id") };
    } catch {
      return { outcome: reached.away };
    }
  }

  async function refresh() {
    try {
      const response = await fetch(location.href, { headers: { "HX-Request": "true" }, signal: AbortSignal.timeout(patience) });
      if (response.ok) show(await response.text());
    } catch {
      // It is saved; what is shown is a little old.
    }
  }

  function show(html, address) {
    const target = $("#main");
    if (!target) return;
    document.dispatchEvent(new CustomEvent("look:before"));
    htmx.swap(target, html, { swapStyle: "morph:outerHTML", swapDelay: 0, settleDelay: 20 }, { contextElement: target, eventInfo: { target } });
    document.dispatchEvent(new CustomEvent("look:after"));
    if (address) history.replaceState(history.state, "", address);
  }

  // Says what is not saved; with nothing to say it goes.
  function say(why, choose = false, lost) {
    const line = $("#unsent");
    if (!line) return;
    line.hidden = !why;
    if (!why) return;
    line.querySelector(".what").textContent = (lost ?? waiting).map(({ what }) => what).join(", ");
    line.querySelector(".why").textContent = why;
    line.querySelector("[name=leave]").hidden = !choose;
    line.querySelector("[name=again]").hidden = lost !== undefined;
    line.dataset.lost = lost !== undefined;
  }

  document.addEventListener("click", (event) => {
    const choice = event.target.closest("#unsent button")?.name;
    if (choice === "leave") {
      if ($("#unsent").dataset.lost !== "true") waiting.shift();
      keep();
      say();
    }
    if (choice) run();
  });

  // What is only shown, not saved, says where it can't be reached as well.
  for (const trouble of ["htmx:sendError", "htmx:timeout", "htmx:responseError"])
    document.addEventListener(trouble, (event) => {
      const line = $("#unreached");
      if (!line) return;
      line.hidden = false;
      line.textContent = event.detail.xhr?.status === 404
        ? "This look is not there any more."
        : "It can’t be reached just now. Nothing recorded is lost; try once more in a moment.";
    });
  document.addEventListener("htmx:afterSwap", () => $("#unreached")?.setAttribute("hidden", ""));

  // A page that was asked for before the last tap was saved does not show it yet.
  const last = JSON.parse(sessionStorage.getItem(saved) ?? "{}");
  if (last.page === location.pathname && last.when > performance.timeOrigin) refresh();

  addEventListener("online", run);
  document.addEventListener("visibilitychange", () => document.visibilityState === "visible" && run());
  run();
})();
