#version 330 core
// Kinds: 0 part, 1 enforce, 2 block, 3 support body, 4 upper interface, 5 ghost.
in vec3 world;
in vec3 facing;
flat in int what;
uniform vec3 eye;
uniform vec2 range;       // shown heights, mm
uniform float freeLean;   // degrees
uniform float faded;      // 1 while supports are being rebuilt
uniform vec3 part, hangingLow, hangingHigh, enforce, block, body, interfaceColour, paper;
out vec4 colour;
void main() {
  if (world.z < range.x - 0.001 || world.z > range.y + 0.001) discard;
  vec3 n = normalize(facing);
  vec3 base = part;
  if (what <= 2 && world.z > 0.001) {  // what lies on the plate hangs over nothing
    float lean = degrees(asin(clamp(-n.z, -1.0, 1.0)));
    if (lean > freeLean) base = mix(hangingLow, hangingHigh, (lean - freeLean) / (90.0 - freeLean));
  }
  vec2 pixel = gl_FragCoord.xy;
  if (what == 1) {  // upright chevrons
    float wave = mod(pixel.y - abs(mod(pixel.x, 14.0) - 7.0), 10.0);
    base = wave < 5.0 ? enforce : enforce * 0.78;
  } else if (what == 2) {  // crossed hatch
    bool line = mod(pixel.x + pixel.y, 9.0) < 2.0 || mod(pixel.x - pixel.y, 9.0) < 2.0;
    base = line ? block * 1.0 + 0.25 : block;
  } else if (what == 3) {
    base = body;
  } else if (what == 4) {
    base = interfaceColour;
  }
  vec3 toEye = normalize(eye - world);
  if (!gl_FrontFacing && what <= 2) base = part * 0.72;  // the inside of a cut part
  vec3 lamp = normalize(vec3(-0.35, -0.5, 0.8));
  float light = 0.62 + 0.26 * abs(dot(n, toEye)) + 0.16 * max(dot(n, lamp), 0.0);
  vec3 lit = base * min(light, 1.05);
  if (what == 3 || what == 4) lit = mix(lit, paper, 0.55 * faded);
  colour = vec4(what == 5 ? mix(lit, paper, 0.35) : lit, what == 5 ? 0.55 : 1.0);
}
