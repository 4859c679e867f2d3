// The measuring board: a picture, its scale, the leaves found on it, what was measured of them. Without scripts sizes are typed.
(() => {
  const board = document.querySelector("main.board");
  if (!board) return;
  const $ = (selector) => board.querySelector(selector);
  const words = JSON.parse(board.dataset.characters);
  const svg = $("svg"), image = $(".table img"), loupe = $(".loupe"), problem = $(".with-picture > .problem"), state = $(".said");
  const namespace = "http://www.w3.org/2000/svg";
  $(".with-picture").hidden = false;

  // What lies on the table: a file with the marks of its scale, then what was traced of it.
  let file, marks = [], traced, cuts = [], cutting = false, cutFrom, running, measuring;

  function make(name, attributes, into = svg) {
    const element = document.createElementNS(namespace, name);
    for (const [key, value] of Object.entries(attributes)) element.setAttribute(key, value);
    into.append(element);
    return element;
  }

  function complain(text) {
    problem.hidden = !text;
    problem.textContent = text ?? "";
  }

  // An SVG element has no property for it.
  function shown(is) {
    image.hidden = !is;
    svg.toggleAttribute("hidden", !is);
  }

  const isSheet = () => $("[name=by]:checked").value === "sheet";

  async function put(blob) {
    complain();
    file = blob;
    traced = undefined;
    cuts = [];
    const url = await new Promise((done, fail) => {
      const reader = new FileReader();
      reader.onload = () => done(reader.result);
      reader.onerror = fail;
      reader.readAsDataURL(blob);
    });
    image.onload = () => { place(); show(); };
    image.onerror = () => { complain("This is no picture that can be shown; JPEG, PNG and WebP can."); shown(false); };
    shown(true);
    image.src = url;
    $("[name=trace]").disabled = false;
    $(".result").hidden = true;
    buttons();
  }

  // Where marks stand before they are dragged: near the corners, or along the middle.
  function place() {
    const [w, h] = [image.naturalWidth, image.naturalHeight];
    marks = isSheet()
      ? [[0.08, 0.08], [0.92, 0.08], [0.92, 0.92], [0.08, 0.92]].map(([x, y]) => [x * w, y * h])
      : [[0.2, 0.9], [0.6, 0.9]].map(([x, y]) => [x * w, y * h]);
  }

  // As large as fingers need them, whatever the picture's size.
  const unit = () => image.naturalWidth / Math.max(1, image.clientWidth);

  function show() {
    svg.replaceChildren();
    svg.setAttribute("viewBox", `0 0 ${image.naturalWidth} ${image.naturalHeight}`);
    if (!traced) {
      make("polygon", { class: "frame", points: marks.map((mark) => mark.join()).join(" ") });
      const names = isSheet() ? ["upper left corner", "upper right corner", "lower right corner", "lower left corner"] : ["one end", "other end"];
      marks.forEach((mark, i) => handle(mark, "mark", names[i], (to) => { marks[i] = to; }));
      return;
    }
    for (const [from, to] of cuts) make("line", { class: "cut", x1: from[0], y1: from[1], x2: to[0], y2: to[1] });
    traced.leaves.forEach((leaf, i) => {
      const outline = make("polygon", { class: leaf.out ? "leaf out" : "leaf", points: leaf.outline.map((p) => p.join()).join(" ") });
      outline.addEventListener("pointerdown", (event) => bend(event, leaf));
      if (!leaf.out) {
        make("line", { class: "midrib", x1: leaf.foot[0], y1: leaf.foot[1], x2: leaf.tip[0], y2: leaf.tip[1] });
        handle(leaf.foot, "foot", `base of leaf ${i + 1}`, (to) => { leaf.foot = to; }, measure);
        handle(leaf.tip, "tip", `tip of leaf ${i + 1}`, (to) => { leaf.tip = to; }, measure);
      }
      const middle = [0, 1].map((k) => leaf.outline.reduce((sum, p) => sum + p[k], 0) / leaf.outline.length);
      const number = make("text", { class: "number", x: middle[0], y: middle[1], "font-size": 22 * unit(), role: "button", tabindex: 0, "aria-pressed": !leaf.out, "aria-label": `leaf ${i + 1}, measured or left out` });
      number.textContent = i + 1;
      const toggle = () => { leaf.out = !leaf.out; show(); measure(); };
      number.addEventListener("click", toggle);
      number.addEventListener("keydown", (event) => { if (event.key === "Enter" || event.key === " ") { event.preventDefault(); toggle(); } });
    });
  }

  function handle(at, kind, label, set, done) {
    const r = 11 * unit();
    const knob = make("circle", { class: `knob ${kind}`, cx: at[0], cy: at[1], r, tabindex: 0, role: "slider", "aria-label": label, "aria-valuetext": `${Math.round(at[0])}, ${Math.round(at[1])}`, "aria-valuenow": Math.round(at[0]) });
    const move = (to) => {
      at = [Math.min(Math.max(to[0], 0), image.naturalWidth), Math.min(Math.max(to[1], 0), image.naturalHeight)];
      set(at);
      knob.setAttribute("cx", at[0]);
      knob.setAttribute("cy", at[1]);
      knob.setAttribute("aria-valuetext", `${Math.round(at[0])}, ${Math.round(at[1])}`);
      frame();
      look(at);
    };
    drag(knob, (to) => move(to), () => { loupe.hidden = true; done?.(); });
    knob.addEventListener("keydown", (event) => {
      const step = (event.shiftKey ? 10 : 1) * Math.max(1, unit() / 2);
      const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[event.key];
      if (!by) return;
      event.preventDefault();
      move([at[0] + by[0], at[1] + by[1]]);
      done?.();
    });
    knob.addEventListener("blur", () => (loupe.hidden = true));
  }

  function frame() {
    svg.querySelector(".frame")?.setAttribute("points", marks.map((mark) => mark.join()).join(" "));
    if (!traced) return;
    svg.querySelectorAll(".midrib").forEach((line, i) => {
      const leaf = traced.leaves.filter((one) => !one.out)[i];
      for (const [key, value] of Object.entries({ x1: leaf.foot[0], y1: leaf.foot[1], x2: leaf.tip[0], y2: leaf.tip[1] })) line.setAttribute(key, value);
    });
  }

  const where = (event) => {
    const box = svg.getBoundingClientRect();
    return [((event.clientX - box.left) / box.width) * image.naturalWidth, ((event.clientY - box.top) / box.height) * image.naturalHeight];
  };

  function drag(element, move, done) {
    element.addEventListener("pointerdown", (event) => {
      if (cutting) return;
      event.preventDefault();
      event.stopPropagation();
      element.focus?.();
      element.setPointerCapture(event.pointerId);
      const go = (to) => move(where(to));
      element.addEventListener("pointermove", go);
      element.addEventListener("pointerup", () => { element.removeEventListener("pointermove", go); done?.(); }, { once: true });
    });
  }

  // A stretch of outline follows the finger, less the farther off it is.
  function bend(event, leaf) {
    if (cutting || leaf.out) return;
    event.preventDefault();
    const start = where(event);
    const before = leaf.outline.map((p) => [...p]);
    const count = before.length;
    const near = before.reduce((best, p, i) => (Math.hypot(p[0] - start[0], p[1] - start[1]) < Math.hypot(before[best][0] - start[0], before[best][1] - start[1]) ? i : best), 0);
    // Only an outline is taken hold of, not the middle of a leaf.
    if (Math.hypot(before[near][0] - start[0], before[near][1] - start[1]) > 26 * unit()) return;
    const reach = Math.max(3, Math.round(count / 60));
    const target = event.currentTarget;
    target.setPointerCapture(event.pointerId);
    const go = (to) => {
      const [x, y] = where(to);
      for (let k = -reach; k <= reach; k++) {
        const i = (near + k + count) % count;
        const part = (1 + Math.cos((Math.PI * k) / (reach + 1))) / 2;
        leaf.outline[i] = [before[i][0] + part * (x - start[0]), before[i][1] + part * (y - start[1])];
      }
      target.setAttribute("points", leaf.outline.map((p) => p.join()).join(" "));
      look([x, y]);
    };
    target.addEventListener("pointermove", go);
    target.addEventListener("pointerup", () => { target.removeEventListener("pointermove", go); loupe.hidden = true; measure(); }, { once: true });
  }

  function look([x, y]) {
    loupe.hidden = false;
    const pen = loupe.getContext("2d"), part = 60 * unit() / 2;
    pen.clearRect(0, 0, 150, 150);
    pen.drawImage(image, x - part / 2, y - part / 2, part, part, 0, 0, 150, 150);
    pen.strokeStyle = "#b4413a";
    pen.beginPath();
    pen.moveTo(75, 55); pen.lineTo(75, 95); pen.moveTo(55, 75); pen.lineTo(95, 75);
    pen.stroke();
  }

  function buttons() {
    $("[name=stop]").hidden = !running;
    $("progress").hidden = !running;
    $("[name=trace]").hidden = Boolean(traced);
    $("[name=cut]").hidden = $("[name=back]").hidden = !traced;
  }

  async function trace() {
    complain();
    const form = new FormData();
    form.set("picture", file, "picture");
    form.set("points", original.marks.map((mark) => mark.map((v) => v.toFixed(1)).join(",")).join(";"));
    form.set("width", isSheet() ? $("[name=width]").value : $("[name=apart]").value);
    form.set("height", $("[name=height]").value);
    form.set("cuts", cuts.flat().map((p) => p.map((v) => v.toFixed(1)).join(",")).join(";"));
    running = new AbortController();
    state.textContent = "Looking for leaves…";
    $("progress").removeAttribute("value");
    buttons();
    try {
      const response = await fetch("/board/trace", { method: "POST", body: form, signal: running.signal });
      const answer = await response.json();
      if (!response.ok) throw new Error(answer.problem ?? "It could not be traced.");
      traced = answer;
      state.textContent = answer.leaves.length === 0 ? "No leaf was found: lay them on plain paper, in even light." : `${answer.leaves.length} found.`;
      image.onload = () => show();
      image.src = answer.picture;
      await measure();
    } catch (error) {
      state.textContent = "";
      complain(error.name === "AbortError" ? undefined : error instanceof TypeError ? "It can’t be reached just now; try once more in a moment." : error.message);
    } finally {
      running = undefined;
      buttons();
    }
  }

  async function measure() {
    const leaves = traced.leaves.filter((leaf) => !leaf.out);
    $(".result").hidden = leaves.length === 0;
    if (leaves.length === 0) return;
    measuring?.abort();
    measuring = new AbortController();
    try {
      const response = await fetch("/board/measure", {
        method: "POST",
        headers: { "Content-Type": "application/json" },
        body: JSON.stringify({ pixelsPerCentimetre: traced.pixelsPerCentimetre, leaves: leaves.map(({ outline, foot, tip }) => ({ outline, foot, tip })) }),
        signal: measuring.signal,
      });
      const answer = await response.json();
      if (!response.ok) throw new Error(answer.problem);
      complain();
      tell(answer, traced.leaves.map((leaf, i) => [leaf, i + 1]).filter(([leaf]) => !leaf.out).map(([, number]) => number));
    } catch (error) {
      if (error.name !== "AbortError") complain(error instanceof TypeError ? "It can’t be reached just now; try once more in a moment." : error.message);
    }
  }

  function tell(answer, numbers) {
    const table = document.createElement("table");
    table.className = "numbers";
    const head = table.createTHead().insertRow();
    for (const name of ["Measure", ...numbers.map((n) => `Leaf ${n}`), ...(answer.sample.length > 0 ? ["Mean"] : []), "How it was made"]) {
      const cell = document.createElement("th");
      cell.scope = "col";
      cell.textContent = name;
      head.append(cell);
    }
    const body = table.createTBody();
    answer.leaves[0].forEach((line, row) => {
      const at = body.insertRow();
      const name = document.createElement("th");
      name.scope = "row";
      name.textContent = line.name;
      at.append(name);
      for (const leaf of answer.leaves) at.insertCell().textContent = leaf[row].value;
      const mean = answer.sample.find((one) => one.name === line.name);
      if (answer.sample.length > 0) at.insertCell().textContent = mean?.value ?? "";
      const how = at.insertCell();
      how.className = "how";
      how.textContent = [line.how, mean?.how].filter(Boolean).join("; ");
    });
    $(".measures").replaceChildren(table);
    $(".proposals").replaceChildren(...answer.proposals.map(proposal).filter(Boolean));
  }

  function proposal({ character, states, text, certainty, why }) {
    const named = words[character];
    if (!named) return undefined;
    const item = document.createElement("li");
    const said = text ?? states.map((one) => named.states?.[one] ?? one).join(", ");
    item.append(Object.assign(document.createElement("strong"), { textContent: `${named.label}: ${said}` }), Object.assign(document.createElement("span"), { className: "detail", textContent: ` ${certainty}; ${why} ` }));
    if (board.dataset.look) {
      const button = Object.assign(document.createElement("button"), { className: "button quiet", textContent: "Take it" });
      button.addEventListener("click", () => take(button, character, states, text, certainty));
      item.append(button);
    }
    return item;
  }

  async function take(button, character, states, text, certainty) {
    const form = $("form.take");
    const body = new URLSearchParams(new FormData(form));
    body.set("character", character);
    states.forEach((one) => body.append("states", one));
    if (text) body.set("text", text);
    body.set("certainty", certainty);
    button.disabled = true;
    try {
      const response = await fetch(form.action, { method: "POST", body, headers: { "HX-Request": "true" } });
      if (!response.ok) throw new Error("It was not taken; go back to the look and enter it there.");
      button.textContent = "Taken";
    } catch (error) {
      button.disabled = false;
      complain(error.message);
    }
  }

  // The picture as it was chosen and its marks: tracing shows a straightened one in its place.
  const original = { get marks() { return marks; } };

  $("[name=picture]").addEventListener("change", ({ target }) => target.files[0] && put(target.files[0]));
  $("[name=simulated]").addEventListener("change", async ({ target }) => {
    if (!target.value) return;
    try {
      const response = await fetch(`/board/photograph-${target.value}.jpg`);
      await put(await response.blob());
    } catch {
      complain("It can’t be reached just now; try once more in a moment.");
    }
  });
  board.querySelectorAll("[name=by]").forEach((choice) => choice.addEventListener("change", () => {
    $(".row.sheet").hidden = !isSheet();
    $(".row.ruler").hidden = isSheet();
    if (file && !traced) { place(); show(); }
  }));
  $("[name=trace]").addEventListener("click", trace);
  $("[name=stop]").addEventListener("click", () => { running?.abort(); state.textContent = "Stopped."; });
  $("[name=back]").addEventListener("click", async () => { const kept = marks; await put(file); image.onload = () => { marks = kept; show(); }; });
  $("[name=cut]").addEventListener("click", ({ currentTarget }) => {
    cutting = !cutting;
    currentTarget.setAttribute("aria-pressed", cutting);
    state.textContent = cutting ? "Draw a line across the place where they touch." : "";
  });
  svg.addEventListener("pointerdown", (event) => {
    if (!cutting) return;
    event.preventDefault();
    cutFrom = where(event);
    const line = make("line", { class: "cut", x1: cutFrom[0], y1: cutFrom[1], x2: cutFrom[0], y2: cutFrom[1] });
    svg.setPointerCapture(event.pointerId);
    const go = (to) => { const [x, y] = where(to); line.setAttribute("x2", x); line.setAttribute("y2", y); };
    svg.addEventListener("pointermove", go);
    svg.addEventListener("pointerup", (up) => {
      svg.removeEventListener("pointermove", go);
      cuts.push([cutFrom, where(up)]);
      cutting = false;
      $("[name=cut]").setAttribute("aria-pressed", false);
      trace();
    }, { once: true });
  });
  addEventListener("resize", () => file && show());
})();
