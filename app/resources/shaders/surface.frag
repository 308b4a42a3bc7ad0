#version 330 core
// What lies on parts and in the air around them, in patterns; supports as glass.
flat in int what;  // as in surface.vert
flat in vec3 base;
in float light, z;
uniform float glass;     // 1 while supports step aside for a tool that works on the surface behind them
uniform float fineness;  // pixels for each of the screen
uniform float fresh;     // 1 for what the brush would lay
uniform float printed;   // mm; what is higher is not printed yet and pale
uniform vec3 part, enforce, block, body, paper, accent;
out vec4 colour;
vec3 patterned(vec2 pixel) {
  float rising = mod(pixel.x - pixel.y, 9.0), falling = mod(pixel.x + pixel.y, 9.0);
  if (what == 1)  // upright chevrons
    return mod(pixel.y - abs(mod(pixel.x, 14.0) - 7.0), 10.0) < 5.0 ? enforce : enforce * 0.78;
  if (what == 2) return min(rising, falling) < 2.0 ? block + 0.25 : block;  // crossed hatch
  if (what == 6) return mod(pixel.x + pixel.y, 8.0) < 4.0 ? accent : mix(base, accent, 0.45);
  if (what == 7) return mod(pixel.y, 7.0) < 1.5 ? part * 0.82 : mix(part, paper, 0.6);
  if (what == 8) return enforce;
  if (what == 9) return block;
  if (what == 10) return part * 0.6;
  if (what == 14) return accent;
  if (what <= 20) return base;
  int tint = what - 21, form = tint % 5;  // five forms, each in three tones
  bool wide = mod(pixel.x, 8.0) < 4.0, tall = mod(pixel.y, 8.0) < 4.0;
  bool bright = form == 0 ? wide
              : form == 1 ? tall
              : form == 2 ? wide == tall
              : form == 3 ? length(mod(pixel, 8.0) - 4.0) < 2.6
                          : mod(pixel.x + pixel.y, 8.0) < 4.0;
  return (bright ? enforce : enforce * 0.71) * (1.0 - 0.22 * float(tint / 5));
}
void main() {
  vec2 pixel = gl_FragCoord.xy / fineness;
  bool hatched = mod(pixel.x - pixel.y, 9.0) < 1.5;
  float ring = length(mod(pixel, 13.0) - 6.5);
  if (what == 14 && (ring < 2.2 || ring > 4.2)) discard;  // rings, over whatever else is marked there
  vec3 lit = patterned(pixel) * min(light, 1.05);
  if (z > printed + 0.001) lit = mix(lit, paper, 0.72);
  if (what >= 60)  // a closed section
    colour = vec4((what == 60 ? part : body) * (hatched ? 0.62 : 0.86), 1.0);
  else if (!gl_FrontFacing && what <= 2)  // the inside of a cut part reads as material
    colour = vec4(part * (hatched ? 0.62 : 0.8), 1.0);
  else if (glass > 0.5)
    colour = vec4(lit, 0.13);
  else if (what >= 8 && what <= 10)
    colour = vec4(lit, mod(pixel.x + pixel.y, 6.0) < 1.5 ? 0.5 : 0.24);
  else if (fresh > 0.5)
    colour = vec4(mix(lit, paper, 0.25), 0.6);
  else
    colour = what == 5 ? vec4(mix(lit, paper, 0.35), 0.55) : vec4(lit, 1.0);
}
