#version 330 core
in vec3 shade;
in vec3 world;
uniform vec2 range;  // shown heights, mm
uniform vec4 cut;    // as in surface.vert
out vec4 colour;
void main() {
  if (world.z < range.x - 0.03 || world.z > range.y + 0.03 || dot(cut.xyz, world) < cut.w) discard;
  colour = vec4(shade, 1.0);
}
