#version 330 core
out vec2 at;  // 0–1 across the picture
void main() {  // one triangle over everything
  at = vec2((gl_VertexID << 1) & 2, gl_VertexID & 2);
  gl_Position = vec4(at * 2.0 - 1.0, 0.0, 1.0);
}
