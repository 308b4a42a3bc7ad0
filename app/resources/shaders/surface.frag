#version 330 core
// Kinds: 0 part, 1 enforce, 2 block, 3 support body, 4 upper interface, 5 ghost, 6 lit, 7 clean face, 8 to 10 zones
// that enforce, block and keep clear, 11 lower interface, 12 support body from the second filament,
// 13 branches, 14 seen face; from 21, enforcers of tint 1 and on; 60 and 61, the cut through a part and through support.
in vec3 world;
in vec3 facing;
flat in int what;
uniform vec3 eye;
uniform vec2 range;       // shown heights, mm
uniform float freeLean;   // degrees
uniform vec4 cut;         // normal and height of the plane that hides what lies before it; normal 0: none
uniform float faded;      // 1 while supports are being rebuilt
uniform float glass;      // 1 while supports step aside for a tool that works on the surface behind them
uniform float fineness;   // pixels for each of the screen
uniform float fresh;      // 1 for what the brush would lay
uniform float printed;    // mm; what is higher is not printed yet and pale
uniform vec2 layers;      // top of the first layer and height of the others, mm; 0: not drawn as layers
uniform vec3 accent;
uniform vec3 part, hangingLow, hangingHigh, enforce, block, body, branch, interfaceColour, lowerColour, paper;
out vec4 colour;
void main() {
  if (world.z < range.x - 0.001 || world.z > range.y + 0.001) discard;
  if ((what < 8 || what >= 11) && dot(cut.xyz, world) < cut.w) discard;
  vec2 pixel = gl_FragCoord.xy / fineness;
  if (what >= 60) {  // a closed section, hatched
    bool line = mod(pixel.x - pixel.y, 9.0) < 1.5;
    vec3 of = what == 60 ? part : body;
    colour = vec4(line ? of * 0.62 : of * 0.86, 1.0);
    return;
  }
  vec3 n = normalize(facing);
  if (layers.y > 0.0) {  // each layer a bead: its side bulges, where layers are far enough apart on the screen
    float at = (world.z - layers.x) / layers.y, across = fract(at) * 2.0 - 1.0;
    float seen = (1.0 - smoothstep(0.2, 0.45, fwidth(at))) * (1.0 - abs(n.z));
    n = normalize(n + vec3(0.0, 0.0, across * 0.9 * seen));
  }
  vec3 base = part;
  if ((what <= 2 || what == 6) && world.z > 0.001) {  // what lies on the plate hangs over nothing
    float lean = degrees(asin(clamp(-n.z, -1.0, 1.0)));
    if (lean > freeLean) base = mix(hangingLow, hangingHigh, (lean - freeLean) / (90.0 - freeLean));
  }
  if (what == 1) {  // upright chevrons
    float wave = mod(pixel.y - abs(mod(pixel.x, 14.0) - 7.0), 10.0);
    base = wave < 5.0 ? enforce : enforce * 0.78;
  } else if (what == 2) {  // crossed hatch
    bool line = mod(pixel.x + pixel.y, 9.0) < 2.0 || mod(pixel.x - pixel.y, 9.0) < 2.0;
    base = line ? block * 1.0 + 0.25 : block;
  } else if (what > 20) {  // five forms, each in three tones
    int tint = what - 21, form = tint % 5;
    bool wide = mod(pixel.x, 8.0) < 4.0, tall = mod(pixel.y, 8.0) < 4.0;
    bool light = form == 0 ? wide
               : form == 1 ? tall
               : form == 2 ? wide == tall
               : form == 3 ? length(mod(pixel, 8.0) - 4.0) < 2.6
                           : mod(pixel.x + pixel.y, 8.0) < 4.0;
    base = (light ? enforce : enforce * 0.71) * (1.0 - 0.22 * float(tint / 5));
  } else if (what == 3) {
    base = body;
  } else if (what == 13) {
    base = branch;
  } else if (what == 4) {
    base = interfaceColour;
  } else if (what == 11) {
    base = lowerColour;
  } else if (what == 12) {  // lying stripes
    base = mod(pixel.y, 6.0) < 2.0 ? interfaceColour : body;
  }
  if (what == 6) base = mod(pixel.x + pixel.y, 8.0) < 4.0 ? accent : mix(base, accent, 0.45);
  if (what == 14) {  // rings, over whatever else is marked there
    float ring = length(mod(pixel, 13.0) - 6.5);
    if (ring < 2.2 || ring > 4.2) discard;
    base = accent;
  }
  if (what == 7) base = mod(pixel.y, 7.0) < 1.5 ? part * 0.82 : mix(part, paper, 0.6);
  if (what == 8) base = enforce;
  if (what == 9) base = block;
  if (what == 10) base = part * 0.6;
  vec3 toEye = normalize(eye - world);
  if (!gl_FrontFacing && what <= 2) {  // the inside of a cut part reads as material, hatched
    colour = vec4(mod(pixel.x - pixel.y, 9.0) < 1.5 ? part * 0.62 : part * 0.8, 1.0);
    return;
  }
  vec3 lamp = normalize(vec3(-0.35, -0.5, 0.8));
  float light = 0.62 + 0.26 * abs(dot(n, toEye)) + 0.16 * max(dot(n, lamp), 0.0);
  vec3 lit = base * min(light, 1.05);
  bool support = what == 3 || what == 4 || (what >= 11 && what <= 13);
  if (support) lit = mix(lit, paper, 0.55 * faded);
  if (world.z > printed + 0.001) lit = mix(lit, paper, 0.72);
  if (glass > 0.5 && support) {
    colour = vec4(lit, 0.13);
    return;
  }
  if (what >= 8 && what <= 10) {
    colour = vec4(lit, mod(pixel.x + pixel.y, 6.0) < 1.5 ? 0.5 : 0.24);
    return;
  }
  if (fresh > 0.5) {
    colour = vec4(mix(lit, paper, 0.25), 0.6);
    return;
  }
  colour = vec4(what == 5 ? mix(lit, paper, 0.35) : lit, what == 5 ? 0.55 : 1.0);
}
