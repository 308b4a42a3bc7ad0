#version 330 core
// Parts, supports and what lies on them. Kinds: 0 part, 1 enforce, 2 block, 3 support body, 4 upper interface, 5 ghost,
// 6 lit, 7 clean face, 8 to 10 zones that enforce, block and keep clear, 11 lower interface, 12 support body from the
// second filament, 13 branches, 14 seen face; from 21, enforcers of tint 1 and on; 60 and 61, the cut through a part
// and through support.
layout(location = 0) in vec3 at;
layout(location = 1) in vec3 normal;
layout(location = 2) in float kind;
uniform mat4 toScreen;
uniform vec3 eye;
uniform vec2 range;      // shown heights, mm
uniform vec4 cut;        // normal and height of the plane that hides what lies before it; normal 0: none
uniform float freeLean;  // degrees
uniform vec3 part, hangingLow, hangingHigh, body, branch, interfaceColour, lowerColour;
flat out int what;
flat out vec3 base;      // its colour before light falls on it; a pattern may take its place
flat out float upright;  // 1 for a wall, 0 for what lies
out float light, z;
vec3 baseOf(vec3 n) {
  if (what == 3 || what == 12) return body;
  if (what == 4) return interfaceColour;
  if (what == 11) return lowerColour;
  if (what == 13) return branch;
  float lean = degrees(asin(clamp(-n.z, -1.0, 1.0)));
  bool lies = n.z < -0.9999 && at.z < 0.001;  // on the plate, it hangs over nothing
  bool hangs = (what <= 2 || what == 6) && lean > freeLean && !lies;
  return hangs ? mix(hangingLow, hangingHigh, (lean - freeLean) / (90.0 - freeLean)) : part;
}
void main() {
  vec3 n = normalize(normal), toEye = normalize(eye - at), lamp = normalize(vec3(-0.35, -0.5, 0.8));
  what = int(kind + 0.5);
  base = baseOf(n);
  upright = 1.0 - abs(n.z);
  light = 0.62 + 0.26 * abs(dot(n, toEye)) + 0.16 * max(dot(n, lamp), 0.0);
  z = at.z;
  gl_Position = toScreen * vec4(at, 1.0);
  gl_ClipDistance[0] = at.z - range.x + 0.001;
  gl_ClipDistance[1] = range.y - at.z + 0.001;
  gl_ClipDistance[2] = what < 8 || what >= 11 ? dot(cut.xyz, at) - cut.w : 1.0;
}
