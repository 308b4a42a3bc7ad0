#version 330 core
layout(location = 0) in vec3 at;
layout(location = 1) in vec3 tint;
uniform mat4 toScreen;
out vec3 shade;
out vec3 world;
void main() {
  shade = tint;
  world = at;
  gl_Position = toScreen * vec4(at, 1.0);
}
